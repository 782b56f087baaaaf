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
import { useDocs } from '../documents/docs.ts';
import { SITES } from '../kinds/useSites.ts';
import { RATE_CHOICES } from '../units/units.ts';
import { usePreferences } from '../settings/PreferencesProvider.tsx';
import { Choice } from '../ui/Choice.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { SOIL_TESTS } from '../kinds/useSoilTests.ts';
import { unitChoices } from '../ui/unitChoices.ts';

const FORMS = [
  { id: 'oxide', label: 'P₂O₅ and K₂O' },
  { id: 'elemental', label: 'elemental P and K' },
] as const;

/** The site or the area that was sampled, where it is measured here. */
function GroundChoice({ input, onChange }: Pick<DocFormProps<SoilTestInput>, 'input' | 'onChange'>) {
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
        onChange({ ...input, site, area });
      }}
    />
  );
}

function SoilTestForm({ input, errorAt, onChange, bind }: DocFormProps<SoilTestInput>) {
  const text = (field: 'name' | 'onDay' | 'lab' | 'ph', label: string, placeholder = '', type = 'text') => (
    <LabelledField
      label={label}
      placeholder={placeholder}
      type={type}
      value={input[field]}
      error={errorAt(field)}
      onChange={(value) => onChange({ ...input, [field]: value })}
    />
  );
  return (
    <>
      <Section heading="Which ground, when, by whom">
        <Fields>
          {text('name', 'Ground that was sampled', 'School pitch')}
          {text('onDay', 'Day of the sampling', '', 'date')}
          <GroundChoice input={input} onChange={onChange} />
          {text('lab', 'Laboratory')}
        </Fields>
      </Section>
      <Section heading="What it says the ground needs in a year">
        <Fields>
          <Choice label="Phosphorus and potassium are stated as" options={FORMS} {...bind('form')} />
          <Choice label="Needs are in" options={unitChoices(RATE_CHOICES)} {...bind('unit')} />
          {SOIL_NUTRIENTS.map((id) => {
            const { symbol, name } = NUTRIENTS[statedForm(id, input.form)];
            return (
              <LabelledField
                key={id}
                label={`${symbol}, ${name}`}
                placeholder="not stated"
                value={input.needs[id]}
                error={errorAt(`needs.${id}`)}
                unit={<Box whiteSpace="nowrap">{UNITS[input.unit].symbol}</Box>}
                onChange={(value) => onChange({ ...input, needs: { ...input.needs, [id]: value } })}
              />
            );
          })}
        </Fields>
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          0 means that nothing is wanted: a mix then brings none. Leave empty what the sheet does not state.
        </Box>
      </Section>
      <Section heading="Also on the sheet">
        <Fields>{text('ph', 'pH', '6.2')}</Fields>
        <NotesField label="Lime" {...bind('limeNote')} />
        <NotesField label="Notes" {...bind('notes')} />
      </Section>
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
