import { Box, Button, chakra } from '@chakra-ui/react';
import { showQuantity, textWithUnit, UNITS, type MassUnit } from '@steady-scatter/core/quantities';
import { blankWinter, seasonTable, type WinterInput } from '@steady-scatter/core/season';
import { Download } from 'lucide-react';
import Papa from 'papaparse';
import { Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { say, speak } from '@steady-scatter/words/winter';
import { DocPage, type DocFormProps } from '../../documents/DocPage.tsx';
import { WINTERS } from '../../kinds/useWinters.ts';
import { useSystem } from '../../settings/useSystem.ts';
import { AnswerBox } from '../../ui/AnswerBox.tsx';
import { BareUnit } from '../../ui/BareUnit.tsx';
import { BigNumber } from '../../ui/BigNumber.tsx';
import { dayText } from '../../ui/dayText.ts';
import { Fields, NotesField } from '../../ui/formParts.tsx';
import { LabelledField } from '../../ui/LabelledField.tsx';
import { lazyPart } from '../../ui/lazyPart.ts';
import { saveFile } from '../../ui/saveFile.ts';
import { Section } from '../../ui/Section.tsx';
import { StatedDefault } from '../../ui/StatedDefault.tsx';
import { atPlace } from '../../ui/momentText.ts';
import { shownIn } from '../../units/shownIn.ts';
import { useSeason, type Part, type Season } from './useSeason.ts';

const SaltChart = lazyPart(() => import('./SaltChart.tsx'));
const cell = { padding: '6px 0 6px 14px', textAlign: 'right', fontVariantNumeric: 'tabular-nums' } as const;

function Parts({ parts, heading, unit, toOf }: { parts: readonly Part[]; heading: string; unit: MassUnit; toOf?(key: string): string }) {
  return (
    <Section heading={heading}>
      <chakra.table width="100%" maxWidth="760px" fontSize="17px">
        <chakra.thead fontSize="14px" color="ink.soft">
          <tr>
            <chakra.th scope="col" textAlign="left" fontWeight="semibold">{say('winter.season.of')}</chakra.th>
            <chakra.th scope="col" {...cell}>{say('winter.season.times')}</chakra.th>
            <chakra.th scope="col" {...cell}>{say('winter.season.salt', { unit: UNITS[unit].symbol })}</chakra.th>
            <chakra.th scope="col" {...cell}>{say('winter.season.chloride', { unit: UNITS[unit].symbol })}</chakra.th>
          </tr>
        </chakra.thead>
        <tbody>
          {parts.map(({ key, name, sums }) => (
            <chakra.tr key={key} borderTopWidth="1px" borderColor="line">
              <chakra.th scope="row" textAlign="left" fontWeight="normal" paddingY="6px" overflowWrap="anywhere">
                {toOf ? <Link to={toOf(key)}>{name}</Link> : name}
                {sums.unknown > 0 && <Box color="warn" fontSize="15px">▲ {say('winter.season.unknown', { count: sums.unknown })}</Box>}
              </chakra.th>
              <chakra.td {...cell}>{sums.rounds}</chakra.td>
              <chakra.td {...cell}>{showQuantity(sums.saltKg, unit).number}</chakra.td>
              <chakra.td {...cell}>{showQuantity(sums.chlorideKg, unit).number}</chakra.td>
            </chakra.tr>
          ))}
        </tbody>
      </chakra.table>
    </Section>
  );
} // prettier-ignore

/** Salt of the winter, against its goal, the year before, and the habit of before that. */
function Answer({ season, input, unit }: { season: Season; input: WinterInput; unit: MassUnit }) {
  const { sums, before, goalKg, saving } = season;
  return (
    <AnswerBox marginBottom="20px">
      <Box fontSize="15px" fontWeight="semibold" color="ink.soft">{say('winter.season.total')}</Box>
      <BigNumber {...showQuantity(sums.saltKg, unit)} live />
      <Box fontSize="17px" display="grid" gap="4px" marginTop="6px">
        <Box>{say('winter.season.chlorideIn', { chloride: shownIn(sums.chlorideKg, unit), swept: sums.sweptKg > 0 ? shownIn(sums.sweptKg, unit) : 'none', rounds: sums.rounds })}</Box>
        {goalKg !== null && (
          <Box fontWeight="semibold" color={sums.saltKg > goalKg ? 'warn' : undefined}>
            {say('winter.season.goal', { how: sums.saltKg > goalKg ? 'over' : 'under', goal: shownIn(goalKg, unit), by: shownIn(Math.abs(goalKg - sums.saltKg), unit) })}
          </Box>
        )}
        <Box>{before === null ? say('winter.season.noBefore') : say('winter.season.before', { salt: shownIn(before.saltKg, unit), how: sums.saltKg <= before.saltKg ? 'less' : 'more', percent: before.saltKg > 0 ? Math.round(Math.abs(1 - sums.saltKg / before.saltKg) * 100) : 0, rounds: before.rounds })}</Box>
        {saving && (
          <Box>
            <b>{say('winter.season.saving', { how: saving.savedKg >= 0 ? 'saved' : 'more', amount: shownIn(Math.abs(saving.savedKg), unit), habit: textWithUnit(input.habit.text, input.habit.unit), mean: shownIn(saving.meanKgPerM2, input.habit.unit) })}</b>{' '}
            {say('winter.season.assumes', { rounds: saving.rounds })}
          </Box>
        )}
      </Box>
    </AnswerBox>
  );
} // prettier-ignore

function SeasonBody({ input }: { input: WinterInput }) {
  const season = useSeason(input);
  const unit: MassUnit = useSystem() === 'us' ? 'lb' : 'kg';
  if (!season) return null;
  const save = () =>
    saveFile(
      say('winter.season.file', { name: input.name }),
      'text/csv',
      Papa.unparse(seasonTable(season.rows, season.stormName, atPlace, speak), { escapeFormulae: true, newline: '\r\n' }),
    ); // prettier-ignore
  if (season.rows.length === 0) return <Box marginBottom="20px">{say('winter.season.none')}</Box>;
  return (
    <>
      <Answer season={season} input={input} unit={unit} />
      <Section heading={say('winter.season.byStorm')}>
        <Suspense fallback={null}>
          <SaltChart parts={season.storms} unit={unit} />
        </Suspense>
      </Section>
      <Parts
        parts={season.storms}
        heading={say('winter.season.storms')}
        unit={unit}
        toOf={(key) => `/winter/storms/${key}`}
      />
      <Parts parts={season.sites} heading={say('winter.season.sites')} unit={unit} />
      <Parts parts={season.areas} heading={say('winter.season.areas')} unit={unit} />
      <Button minHeight="touch" marginBottom="20px" onClick={save} data-noprint>
        <Download size={18} /> {say('winter.season.export')}
      </Button>
    </>
  );
}

function WinterFacts({ bind, field, input }: DocFormProps<WinterInput>) {
  return (
    <>
      <Fields>
        <LabelledField label={say('winter.season.name')} placeholder={say('winter.season.nameHint')} {...field('name')} />
        <LabelledField label={say('winter.season.from')} type="date" {...field('fromDay')} />
        <LabelledField label={say('winter.season.to')} type="date" {...field('toDay')} />
        <LabelledField label={say('winter.season.most')} placeholder="300" inputMode="decimal" unit={<BareUnit text={input.goal.text} unit={input.goal.unit} />} {...field('goal.text')} />
        <LabelledField label={say('winter.season.habit')} placeholder="8" inputMode="decimal" unit={<BareUnit text={input.habit.text} unit={input.habit.unit} />} {...field('habit.text')} />
      </Fields>
      <NotesField label={say('winter.storm.notes')} {...bind('notes')} />
    </>
  );
} // prettier-ignore

function WinterForm({ id, ...props }: DocFormProps<WinterInput> & { id: string | null }) {
  const { input, errorAt } = props;
  if (id === null) return <WinterFacts {...props} />;
  const { fromDay, toDay, goal } = input;
  return (
    <>
      <SeasonBody input={input} />
      <StatedDefault
        name={say('winter.season.part')}
        text={say('winter.season.is', { from: dayText(fromDay), to: dayText(toDay), goal: goal.text.trim() === '' ? 'none' : textWithUnit(goal.text, goal.unit) })} // prettier-ignore
        isWrong={['name', 'fromDay', 'toDay', 'goal.text', 'habit.text'].some((each) => errorAt(each) !== undefined)} // prettier-ignore
      >
        <Box gridColumn="1 / -1">
          <WinterFacts {...props} />
        </Box>
      </StatedDefault>
    </>
  );
}

/** A winter of the crew: its salt and chloride, against goal, last year and habit. */
export default function WinterPage() {
  const { id = null } = useParams();
  const system = useSystem();
  return (
    <DocPage
      kind={WINTERS}
      blank={() => blankWinter(system)}
      renderForm={(props) => <WinterForm {...props} id={id} />}
    />
  );
}
