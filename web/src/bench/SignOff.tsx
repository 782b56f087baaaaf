import { Box, Button } from '@chakra-ui/react';
import { pressureUnitFor } from '@steady-scatter/core/fields';
import {
  freshness,
  runsSince,
  sprayedAt,
  type Age,
  type CalibrationAim,
  type CalibrationInput,
  type Freshness,
} from '@steady-scatter/core/testing';
import { rich, say, speak } from '@steady-scatter/words/bench';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import type { CalibrationContext } from './calibrationContext.ts';
import { richly, TAGS } from '../ui/richly.tsx';

interface Props extends Pick<DocFormProps<CalibrationInput>, 'input' | 'bind' | 'set'> {
  on: CalibrationContext;
}

/** How a chart stands, in a word; a sign besides, so that it is not told by colour alone. */
export const FRESH_WORDS: Readonly<Record<Freshness, string>> = {
  none: say('bench.fresh.none'),
  fresh: say('bench.fresh.fresh'),
  ageing: say('bench.fresh.ageing'),
  stale: say('bench.fresh.stale'),
};

export const ageOf = (
  input: CalibrationAim,
  { rig, product, winterFrom, drift }: Pick<CalibrationContext, 'rig' | 'product' | 'winterFrom' | 'drift'>,
): Age => freshness(input, rig, product, today(), { winterFrom, drift: drift ?? null });

/** The rows of the runs that a sign-off rests on: those that count by now. */
const restsOn = ({ runs }: CalibrationInput): string[] =>
  runs.filter(({ excluded, step }) => excluded === '' && step === '').map(({ id, row }) => row || id);

/** Which test runs came since it was signed off, in words. */
function sinceText(input: CalibrationInput): string | null {
  const since = new Set(runsSince(input));
  const numbers = input.runs.flatMap(({ id }, index) => (since.has(id) ? [index + 1] : []));
  if (numbers.length === 0) return null;
  return say('bench.sign.since', { count: numbers.length, numbers: numbers.join(', ') });
}

/** The setting that is kept, what it rests on, by whom and since when, and whether it still holds. */
export function SignOff({ input, on, bind, set }: Props) {
  const { signOff } = input;
  const { advice, spray, session } = on.reading;
  // A session is signed off as a whole, once each of its settings was tested.
  const inTurn = session && session.tested === session.marks.length ? session.marks.map(({ label }) => label).join(', ') : null; // prettier-ignore
  const found = session ? inTurn : advice && advice.standing !== 'open' ? advice.mark.label : null;
  // A sprayer is signed off as it is set, once a test run of it counts.
  const ready = spray?.now && on.rig ? sprayedAt(spray, on.rig, pressureUnitFor(input.units.length)) || say('bench.sign.asItIs') : found; // prettier-ignore
  const sign = (setting: string) => {
    const { pace, width, second, lot, grain } = input;
    set('signOff', { setting, onDay: today(), by: signOff?.by ?? '', state: signOff?.state ?? '', pace, width, second, lot, grain, runs: restsOn(input) }); // prettier-ignore
  };
  if (!signOff) {
    if (ready === null) return null;
    return (
      <Section heading={say('bench.sign.heading')}>
        <Box fontSize="16px" marginBottom="8px">
          {say('bench.sign.what', { product: input.product || say('bench.sign.thisProduct') })}
        </Box>
        <Button variant="solid" minHeight="52px" onClick={() => sign(ready)}>
          {say('bench.sign.off', { mark: ready })}
        </Button>
      </Section>
    );
  }
  const age = ageOf(input, on);
  const since = sinceText(input);
  const moved = ready !== null && ready !== signOff.setting;
  return (
    <Section heading={say('bench.sign.done')}>
      <Box fontSize="19px">
        {richly(
          rich('bench.sign.signedOn', {
            ...TAGS,
            setting: signOff.setting,
            day: dayText(signOff.onDay),
            state: FRESH_WORDS[age.state],
          }),
        )}
        {age.reasons.length > 0 && `: ${age.reasons.map(speak).join('; ')}`}.
      </Box>
      <Box
        display="grid"
        gap="10px 14px"
        gridTemplateColumns="repeat(auto-fit, minmax(190px, 1fr))"
        alignItems="end"
        marginTop="8px"
        maxWidth="640px"
      >
        <LabelledField label={say('bench.sign.by')} {...bind('signOff.by')} />
        <LabelledField
          label={say('bench.sign.state')}
          placeholder={say('bench.sign.stateHint')}
          {...bind('signOff.state')}
        />
      </Box>
      <Box display="flex" gap="10px" flexWrap="wrap" marginTop="10px">
        <Button minHeight="44px" onClick={() => set('signOff', null)}>
          {say('bench.sign.undo')}
        </Button>
        {ready !== null && (moved || since || age.state !== 'fresh') && (
          <Button minHeight="44px" onClick={() => sign(ready)}>
            {say('bench.sign.again', { mark: ready })}
          </Button>
        )}
      </Box>
      {since && <Box marginTop="6px">{since}</Box>}
      {moved && (
        <Box color="warn" fontWeight="semibold" marginTop="6px">
          {say('bench.sign.moved', { mark: ready })}
        </Box>
      )}
    </Section>
  );
}
