import { Box, Button, chakra } from '@chakra-ui/react';
import { isCarried } from '@steady-scatter/core/machines';
import { PRODUCT_KINDS } from '@steady-scatter/core/products';
import { evaluateRuleSet } from '@steady-scatter/core/regulations';
import { runCautions, type RunAct } from '@steady-scatter/core/runSheet';
import { againstLimits, type ConditionBreach, type WeatherInput } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say, speak } from '@steady-scatter/words/walk';
import type { RunOfSheet } from '../load/useRunSheet.ts';
import { useDoc } from '../documents/docs.ts';
import { RULE_SETS } from '../kinds/useRuleSets.ts';
import { WhoField } from '../people/WhoField.tsx';
import { useSheet } from '../sheet/sheet.tsx';
import { CheckLine } from '../ui/CheckLine.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import type { Walk } from './useWalk.ts';
import { WeatherFields } from './WeatherFields.tsx';

/** What the weather breaks of the label's limits and of the crew's own. */
export function useBreaches(weather: WeatherInput): readonly ConditionBreach[] {
  const { answer, worksheet } = useSheet();
  const { setId } = worksheet.rules;
  const { data: set } = useDoc(RULE_SETS, setId === '' ? null : setId);
  const ofLabel = againstLimits(answer.reading.product.limits, 'label', weather);
  const ofRules = set ? againstLimits(evaluateRuleSet(set.input).limits, 'rules', weather) : [];
  return [...ofLabel, ...ofRules];
}

/** What to mind at an act of this job. */
export function useCautions(of: RunOfSheet, act: RunAct) {
  const { product } = useSheet().worksheet;
  const kind = of.machine?.kind ?? null;
  return runCautions(act, {
    product: product.kind,
    isSprayed: of.sheet.isMix,
    isCarried: kind !== null && isCarried(kind),
    isWatered: of.input.water.depth.trim() !== '',
  });
}

const [FILL, OPEN] = ['fill', 'open'] as const satisfies readonly RunAct[];

/** Cautions of an act, each to be ticked. */
export function Cautions({ of, act, walk }: { of: RunOfSheet; act: RunAct; walk: Walk }) {
  const { ticked } = walk.input;
  const toggle = (id: string) => walk.set({ ticked: ticked.includes(id) ? ticked.filter((each) => each !== id) : [...ticked, id] }); // prettier-ignore
  return useCautions(of, act).map((caution) => {
    const id = `${act} ${caution.id}`;
    return (
      <CheckLine key={id} label={speak(caution)} checked={ticked.includes(id)} onChange={() => toggle(id)} />
    );
  });
}

const Heading = chakra('h2', { base: { fontSize: '19px', fontWeight: 'bold' } });

/** Before the gate opens: who, the weather against what label and crew allow, and what to mind. */
export function BeforeStart({ of, walk }: { of: RunOfSheet; walk: Walk }) {
  const { worksheet } = useSheet();
  const { weather, by, why } = walk.input;
  const breaches = useBreaches(weather);
  const broken = breaches.filter(({ isUnknown }) => !isUnknown);
  const [lack, setLack] = useState<string | null>(null);
  const begin = () => {
    const lacks = by.trim() === '' ? say('walk.needsBy') : broken.length > 0 && why.trim() === '' ? say('walk.needsWhy') : null; // prettier-ignore
    setLack(lacks);
    if (!lacks) walk.set({ isBegun: true });
  };
  return (
    <Box display="grid" gap="14px">
      <WhoField label={say('walk.by')} value={by} onChange={(name) => walk.set({ by: name })} />
      <Heading>{say('walk.weather')}</Heading>
      <WeatherFields weather={weather} onPavement={PRODUCT_KINDS[worksheet.product.kind].puts === 'de-icer'} onChange={(next) => walk.set({ weather: next })} />
      {breaches.length > 0 && (
        <Box as="ul" listStyleType="none" role="alert" fontSize="17px">
          {breaches.map(({ of: whose, id, isUnknown, message }) => (
            <chakra.li key={`${whose} ${id}`} color={isUnknown ? 'ink.soft' : 'warn'} fontWeight={isUnknown ? undefined : 'semibold'}>{isUnknown ? '' : '▲ '}{speak(message)}</chakra.li>
          ))}
        </Box>
      )}
      {broken.length > 0 && <LabelledField label={say('walk.why')} value={why} minHeight="56px" onChange={(text) => walk.set({ why: text })} />}
      <Box><Heading>{say('walk.mind.fill')}</Heading><Cautions of={of} act={FILL} walk={walk} /></Box>
      <Box><Heading>{say('walk.mind.open')}</Heading><Cautions of={of} act={OPEN} walk={walk} /></Box>
      {lack && <Box role="alert" color="warn" fontWeight="semibold">{lack}</Box>}
      <Button variant="solid" minHeight="64px" fontSize="19px" onClick={begin}>{say('walk.begin')}</Button>
    </Box>
  );
} // prettier-ignore
