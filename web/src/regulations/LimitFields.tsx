import { Box } from '@chakra-ui/react';
import { GROUND_STATES, type ConditionLimits, type GroundState } from '@steady-scatter/core/products';
import { UNITS } from '@steady-scatter/core/quantities';
import type { FieldValues } from 'react-hook-form';
import { say } from '@steady-scatter/words/limits';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { CheckLine } from '../ui/CheckLine.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { Unit } from '../ui/UnitSelect.tsx';

const WIND = ['mph', 'km/h', 'm/s'] as const;
const DEGREES = ['degF', 'degC'] as const;

/** What it may not go out in, in a line: "Wind at most 10 mph, dry for 24 h after it". */
export function limitsText({ wind, rainFree, air, notOn }: ConditionLimits): string {
  const some = [
    wind.text.trim() !== '' && say('limits.wind.is', { most: `${wind.text.trim()} ${UNITS[wind.unit].symbol}` }),
    rainFree.trim() !== '' && say('limits.rain.is', { hours: rainFree.trim() }),
    air.low.trim() !== '' && say('limits.low.is', { low: `${air.low.trim()} ${UNITS[air.unit].symbol}` }),
    air.high.trim() !== '' && say('limits.high.is', { high: `${air.high.trim()} ${UNITS[air.unit].symbol}` }),
    notOn.length > 0 && say('limits.notOn.is', { states: notOn.map((state) => say('limits.ground', { state })).join(', ') }),
  ].filter((text) => text !== false);
  return some.length === 0 ? say('limits.none') : `${some.join(', ')}.`;
} // prettier-ignore

type WithLimits = FieldValues & { readonly limits: ConditionLimits };

/** What a product, or whatever a crew spreads, may not go out in. */
export function LimitFields<Input extends WithLimits>(props: DocFormProps<Input>) {
  const { limits } = props.input;
  const { field, bind } = props as unknown as DocFormProps<{ limits: ConditionLimits }>;
  const ground = bind('limits.notOn') as unknown as { onChange(states: readonly GroundState[]): void };
  const toggle = (state: GroundState) =>
    ground.onChange(limits.notOn.includes(state) ? limits.notOn.filter((each) => each !== state) : [...limits.notOn, state]);
  return (
    <StatedDefault name={say('limits.name')} text={limitsText(limits)} isWrong={isWrongAt(props, 'limits.wind.text', 'limits.rainFree', 'limits.air.low', 'limits.air.high')}>
      <LabelledField label={say('limits.wind')} inputMode="decimal" placeholder="10" {...field('limits.wind.text')} unit={<Unit label={say('limits.wind.unit')} options={WIND} {...bind('limits.wind.unit')} />} />
      <LabelledField label={say('limits.rain')} inputMode="decimal" placeholder="24" {...field('limits.rainFree')} />
      <LabelledField label={say('limits.low')} placeholder="40" {...field('limits.air.low')} unit={<Unit label={say('limits.air.unit')} options={DEGREES} {...bind('limits.air.unit')} />} />
      <LabelledField label={say('limits.high')} placeholder="85" {...field('limits.air.high')} />
      <Box as="fieldset" gridColumn="1 / -1">
        <Box as="legend" fontSize="15px" fontWeight="semibold" color="ink.soft">{say('limits.notOn')}</Box>
        <Box display="flex" flexWrap="wrap" gap="0 24px">
          {GROUND_STATES.map((state) => (
            <CheckLine key={state} label={say('limits.ground', { state })} checked={limits.notOn.includes(state)} onChange={() => toggle(state)} />
          ))}
        </Box>
      </Box>
    </StatedDefault>
  );
} // prettier-ignore
