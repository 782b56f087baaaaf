import { Box, Button } from '@chakra-ui/react';
import {
  freshness,
  runsSince,
  type Age,
  type CalibrationAim,
  type CalibrationInput,
  type Freshness,
} from '@steady-scatter/core/testing';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import type { CalibrationContext } from './calibrationContext.ts';

interface Props {
  input: CalibrationInput;
  on: CalibrationContext;
  onChange(input: CalibrationInput): void;
}

/** How a chart stands, in a word; a sign besides, so that it is not told by colour alone. */
export const FRESH_WORDS: Readonly<Record<Freshness, string>> = {
  none: 'not signed off',
  fresh: '● fresh',
  ageing: '◐ ageing',
  stale: '▲ stale',
};

export const ageOf = (
  input: CalibrationAim,
  { rig, product }: Pick<CalibrationContext, 'rig' | 'product'>,
): Age => freshness(input, rig, product, today());

/** The rows of the runs that a sign-off rests on: those that count by now. */
const restsOn = ({ runs }: CalibrationInput): string[] =>
  runs.filter(({ excluded, step }) => excluded === '' && step === '').map(({ id, row }) => row || id);

/** Which rounds came since it was signed off, in words. */
function sinceText(input: CalibrationInput): string | null {
  const since = new Set(runsSince(input));
  const rounds = input.runs.flatMap(({ id }, at) => (since.has(id) ? [at + 1] : []));
  if (rounds.length === 0) return null;
  return rounds.length === 1 ? `Round ${rounds[0]} is new since then.` : `Rounds ${rounds.join(', ')} are new since then.`; // prettier-ignore
}

/** The setting that is kept, what it rests on, by whom and since when, and whether it still holds. */
export function SignOff({ input, on, onChange }: Props) {
  const { signOff } = input;
  const { advice } = on.reading;
  const sign = (setting: string) => {
    const { pace, width, second, lot, grain } = input;
    onChange({ ...input, signOff: { setting, onDay: today(), by: signOff?.by ?? '', state: signOff?.state ?? '', pace, width, second, lot, grain, runs: restsOn(input) } }); // prettier-ignore
  };
  if (!signOff) {
    if (!advice || advice.standing === 'open') return null;
    return (
      <Section heading="Sign it off">
        <Box fontSize="16px" marginBottom="8px">
          It becomes this machine’s chart for {input.product || 'this product'}, at this pace and pass
          spacing.
        </Box>
        <Button variant="solid" minHeight="52px" onClick={() => sign(advice.mark.label)}>
          Keep at {advice.mark.label}
        </Button>
      </Section>
    );
  }
  const age = ageOf(input, on);
  const since = sinceText(input);
  const moved = advice && advice.standing !== 'open' && advice.mark.label !== signOff.setting;
  return (
    <Section heading="Signed off">
      <Box fontSize="19px">
        <b>{signOff.setting}</b>, since {dayText(signOff.onDay)}. {FRESH_WORDS[age.state]}
        {age.reasons.length > 0 && `: ${age.reasons.join('; ')}`}.
      </Box>
      <Box
        display="grid"
        gap="10px 14px"
        gridTemplateColumns="repeat(auto-fit, minmax(190px, 1fr))"
        alignItems="end"
        marginTop="8px"
        maxWidth="640px"
      >
        <LabelledField
          label="By"
          value={signOff.by}
          onChange={(by) => onChange({ ...input, signOff: { ...signOff, by } })}
        />
        <LabelledField
          label="The product was"
          placeholder="dry, no dust"
          value={signOff.state}
          onChange={(state) => onChange({ ...input, signOff: { ...signOff, state } })}
        />
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap" marginTop="10px">
        <Button minHeight="44px" onClick={() => onChange({ ...input, signOff: null })}>
          Take it back
        </Button>
        {advice && advice.standing !== 'open' && (moved || since || age.state !== 'fresh') && (
          <Button minHeight="44px" onClick={() => sign(advice.mark.label)}>
            Sign off anew at {advice.mark.label}
          </Button>
        )}
      </Box>
      {since && <Box marginTop="6px">{since}</Box>}
      {moved && (
        <Box color="warn" fontWeight="semibold" marginTop="6px">
          ▲ The runs now speak for {advice.mark.label}.
        </Box>
      )}
    </Section>
  );
}
