import { Box, Button, chakra } from '@chakra-ui/react';
import {
  chooseMethod,
  METHODS,
  planFor,
  type CalibrationInput,
  type MethodId,
  type ToolsInput,
} from '@steady-scatter/core/testing';
import { useState } from 'react';
import { nameOf, say, speak } from '@steady-scatter/words/bench';
import { sentence } from '../../ui/sentence.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Section } from '../../ui/Section.tsx';
import type { CalibrationContext } from '../calibrationContext.ts';
import { CheckLine } from '../../ui/CheckLine.tsx';

const SCALES = [
  { id: 'machine', label: say('testRun.scale.machine') },
  { id: 'small', label: say('testRun.scale.small') },
  { id: 'none', label: say('testRun.scale.none') },
] as const;

const AT_HAND: readonly (readonly [keyof Omit<ToolsInput, 'scale'>, string])[] = [
  ['ground', say('testRun.hand.ground')],
  ['tarp', say('testRun.hand.tarp')],
  ['floor', say('testRun.hand.floor')],
  ['tray', say('testRun.hand.tray')],
  ['helper', say('testRun.hand.helper')],
  ['wind', say('testRun.hand.wind')],
];

interface Props {
  input: CalibrationInput;
  on: CalibrationContext;
  /** The test run that is begun. */
  number: number;
  onTools(tools: ToolsInput): void;
  onBegin(method: MethodId): void;
}

const Row = chakra('button', {
  base: {
    display: 'block',
    width: '100%',
    textAlign: 'left',
    padding: '10px 12px',
    minHeight: '56px',
    borderTopWidth: '1px',
    borderColor: 'line',
    cursor: 'pointer',
    _hover: { bg: 'soft' },
    '&[aria-pressed=true]': { bg: 'soft', boxShadow: 'inset 5px 0 0 var(--chakra-colors-tape)' },
    _disabled: { cursor: 'default', color: 'ink.soft', _hover: { bg: 'transparent' } },
  },
});

/** From what is at hand: which test suits best and why, which others can be done, what to bring, and how much to spread. */
export function ChooseMethod({ input, on, number, onTools, onBegin }: Props) {
  const { tools } = input;
  const choices = chooseMethod({
    kind: on.bench.kind,
    sprays: on.bench.spray !== null,
    tools,
    isPesticide: on.product?.kind === 'granular-carrier',
  });
  const last = input.runs.at(-1)?.method;
  const proposed = choices[0]!;
  const [picked, setPicked] = useState<MethodId | null>(null);
  const keeps = last && choices.some(({ method, possible }) => method === last && possible) ? last : null;
  const chosen = choices.find(({ method }) => method === (picked ?? keeps ?? proposed.method)) ?? proposed;
  const plan = planFor(chosen.method, input, on.bench, on.reading);
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: 'minmax(0, 1fr) minmax(0, 1fr)' }}
      gap={{ base: '20px', lg: '36px' }}
    >
      <Box order={{ base: 2, lg: 1 }} minWidth={0}>
        {on.bench.spray === null && (
          <Section heading={say('testRun.choose.atHand')}>
            <Box maxWidth="340px">
              <Choice
                label={say('testRun.choose.scale')}
                value={tools.scale}
                options={SCALES}
                onChange={(scale) => onTools({ ...tools, scale })}
              />
            </Box>
            <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} marginTop="8px">
              {AT_HAND.map(([name, label]) => (
                <CheckLine
                  key={name}
                  label={label}
                  checked={tools[name]}
                  onChange={() => onTools({ ...tools, [name]: !tools[name] })}
                />
              ))}
            </Box>
          </Section>
        )}
        <Section heading={say('testRun.choose.ways')}>
          {choices.map(({ method, possible, why }) => (
            <Row
              key={method}
              type="button"
              disabled={!possible}
              aria-pressed={method === chosen.method && possible}
              onClick={() => setPicked(method)}
            >
              <chakra.b fontSize="17px" color={possible ? 'ink' : 'ink.soft'}>
                {nameOf('method', method)}
                {method === proposed.method && possible
                  ? say('testRun.choose.best')
                  : possible
                    ? ''
                    : say('testRun.choose.notHere')}
              </chakra.b>
              <Box fontSize="16px">{speak(why)}</Box>
            </Row>
          ))}
        </Section>
      </Box>
      <Box
        as="section"
        aria-label={say('testRun.choose.plan')}
        order={{ base: 1, lg: 2 }}
        bg="paper"
        borderWidth="1px"
        borderColor="line"
        borderRadius="12px"
        padding={{ base: '16px', md: '22px' }}
        alignSelf="start"
      >
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('testRun.choose.run', { number })}
        </Box>
        <Box fontSize={{ base: '26px', md: '30px' }} fontWeight="bold" lineHeight="1.15" marginBottom="10px">
          {sentence(nameOf('method', chosen.method))}
        </Box>
        {chosen.possible ? (
          <>
            <Box fontSize="17px">{speak(METHODS[chosen.method].how)}</Box>
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft" marginTop="14px">
              {say('testRun.choose.bring')}
            </Box>
            <Box fontSize="17px">{chosen.bring.map((tool) => nameOf('bring', tool)).join(', ')}.</Box>
            <Box fontSize="15px" fontWeight="semibold" color="ink.soft" marginTop="14px">
              {say('testRun.choose.howMuch')}
            </Box>
            {plan.map(speak).map((line) => (
              <Box key={line} fontSize="17px" marginTop="2px">
                {line}
              </Box>
            ))}
            <Button
              variant="solid"
              width={{ base: '100%', md: 'auto' }}
              minHeight="60px"
              fontSize="18px"
              marginTop="18px"
              onClick={() => onBegin(chosen.method)}
            >
              {say('testRun.choose.begin', { number })}
            </Button>
          </>
        ) : (
          <Box fontSize="17px">{speak(chosen.why)}</Box>
        )}
      </Box>
    </Box>
  );
}
