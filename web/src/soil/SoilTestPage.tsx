import { Box, Button, chakra } from '@chakra-ui/react';
import {
  blankSoilTest,
  NUTRIENTS,
  SOIL_NUTRIENTS,
  statedForm,
  type SoilTestInput,
} from '@steady-scatter/core/need';
import { UNITS } from '@steady-scatter/core/quantities';
import { Link } from 'react-router';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { useDocs } from '../documents/docs.ts';
import { SITES } from '../kinds/useSites.ts';
import { RATE_CHOICES } from '../units/units.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { unitChoices } from '../ui/unitChoices.ts';

const FORMS = [
  { id: 'oxide', label: 'P₂O₅ and K₂O' },
  { id: 'elemental', label: 'elemental P and K' },
] as const;

/** The site or the area that was sampled, where it is measured here. */
function GroundChoice({ input, set }: Pick<DocFormProps<SoilTestInput>, 'input' | 'set'>) {
  const { data: sites = [] } = useDocs(SITES);
  const value = input.site === '' ? '' : `${input.site}/${input.area}`;
  return (
    <Choice
      label="Site or area"
      value={value}
      options={[
        { id: '', label: 'not said' },
        ...sites.flatMap(
          ({ id, input: site }) =>
          [{ id: '', name: 'all of it' }].concat(site.areas.map(({ id: area, name }) => ({ id: area, name }))).map((part) => ({ id: `${id}/${part.id}`, label: `${site.name}, ${part.name}` })), // prettier-ignore
        ),
      ]}
      onChange={(id) => {
        const [site = '', area = ''] = id.split('/');
        set('site', site);
        set('area', area);
      }}
    />
  );
}

function SoilTestForm(props: DocFormProps<SoilTestInput>) {
  const { input, set, bind, field } = props;
  const symbol = UNITS[input.unit].symbol;
  const form = FORMS.find(({ id }) => id === input.form)!;
  const said = [input.lab.trim(), input.ph.trim() && `pH ${input.ph.trim()}`].filter(Boolean).join(', ');
  return (
    <>
      <Section heading="Where and when">
        <Fields>
          <LabelledField label="Ground" placeholder="School pitch" {...field('name')} />
          <LabelledField label="Sampling day" type="date" {...field('onDay')} />
          <GroundChoice input={input} set={set} />
        </Fields>
      </Section>
      <Section heading={`Need in a year, ${symbol}`}>
        <Fields>
          {SOIL_NUTRIENTS.map((id) => {
            const nutrient = NUTRIENTS[statedForm(id, input.form)];
            return (
              <LabelledField
                key={id}
                label={`${nutrient.symbol}, ${nutrient.name}`}
                placeholder="not stated"
                inputMode="decimal"
                unit={<Box whiteSpace="nowrap">{symbol}</Box>}
                {...field(`needs.${id}`)}
              />
            );
          })}
        </Fields>
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          0 means that nothing is wanted: a mix then brings none. Leave empty what the sheet does not state.
        </Box>
      </Section>
      <Box as="section" aria-label="Assumed" maxWidth="820px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          Assumed
        </Box>
        <StatedDefault name="units" text={`Needs are in ${symbol}, stated as ${form.label}`}>
          <Choice label="Need unit" options={unitChoices(RATE_CHOICES)} {...bind('unit')} />
          <Choice label="Phosphorus and potassium as" options={FORMS} {...bind('form')} />
        </StatedDefault>
        <StatedDefault
          name="laboratory and pH"
          text={said === '' ? 'Laboratory and pH are not noted' : said}
          isWrong={isWrongAt(props, 'lab', 'ph')}
        >
          <LabelledField label="Laboratory" {...field('lab')} />
          <LabelledField label="pH" placeholder="6.2" inputMode="decimal" {...field('ph')} />
        </StatedDefault>
      </Box>
      <NotesField label="Lime" {...bind('limeNote')} />
      <NotesField label="Notes" {...bind('notes')} />
    </>
  );
}

/** A soil test as the laboratory's sheet states it. */
export default function SoilTestPage() {
  const { rate } = usePreferences().preferences.units;
  const unit = RATE_CHOICES.find((id) => id === rate) ?? 'lb/1000 ft2';
  return (
    <DocPage
      kind={SOIL_TESTS}
      blank={() => blankSoilTest(unit, today())}
      renderForm={(props) => <SoilTestForm {...props} />}
      renderActs={({ id }) => (
        <Button asChild>
          <Link to={`/shelf/mix?soil=${id}`}>
            <chakra.span>Find a mix</chakra.span>
          </Link>
        </Button>
      )}
    />
  );
}
