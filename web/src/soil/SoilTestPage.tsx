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
import { nameOf, say } from '@steady-scatter/words/shelf';
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
  { id: 'oxide', label: say('shelf.soil.oxide') },
  { id: 'elemental', label: say('shelf.soil.element') },
] as const;

/** The site or the area that was sampled, where it is measured here. */
function GroundChoice({ input, set }: Pick<DocFormProps<SoilTestInput>, 'input' | 'set'>) {
  const { data: sites = [] } = useDocs(SITES);
  const value = input.site === '' ? '' : `${input.site}/${input.area}`;
  return (
    <Choice
      label={say('shelf.soil.site')}
      value={value}
      options={[
        { id: '', label: say('shelf.soil.noSite') },
        ...sites.flatMap(
          ({ id, input: site }) =>
          [{ id: '', name: say('shelf.soil.wholeSite') }].concat(site.areas.map(({ id: area, name }) => ({ id: area, name }))).map((part) => ({ id: `${id}/${part.id}`, label: `${site.name}, ${part.name}` })), // prettier-ignore
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
  const said = [input.lab.trim(), input.ph.trim() && say('shelf.soil.phOf', { ph: input.ph.trim() })]
    .filter(Boolean)
    .join(', ');
  return (
    <>
      <Section heading={say('shelf.soil.where')}>
        <Fields>
          <LabelledField
            label={say('shelf.soil.ground')}
            placeholder={say('shelf.soil.groundHint')}
            {...field('name')}
          />
          <LabelledField label={say('shelf.soil.day')} type="date" {...field('onDay')} />
          <GroundChoice input={input} set={set} />
        </Fields>
      </Section>
      <Section heading={say('shelf.soil.needs', { unit: symbol })}>
        <Fields>
          {SOIL_NUTRIENTS.map((id) => {
            const nutrient = statedForm(id, input.form);
            return (
              <LabelledField
                key={id}
                label={`${NUTRIENTS[nutrient].symbol}, ${nameOf('nutrient', nutrient)}`}
                placeholder={say('shelf.soil.notStated')}
                inputMode="decimal"
                unit={<Box whiteSpace="nowrap">{symbol}</Box>}
                {...field(`needs.${id}`)}
              />
            );
          })}
        </Fields>
        <Box fontSize="15px" color="ink.soft" marginTop="6px">
          {say('shelf.soil.zero')}
        </Box>
      </Section>
      <Box as="section" aria-label={say('shelf.soil.assumed')} maxWidth="820px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('shelf.soil.assumed')}
        </Box>
        <StatedDefault
          name={say('shelf.part.units')}
          text={say('shelf.soil.units', { unit: symbol, form: form.label })}
        >
          <Choice label={say('shelf.soil.unit')} options={unitChoices(RATE_CHOICES)} {...bind('unit')} />
          <Choice label={say('shelf.soil.form')} options={FORMS} {...bind('form')} />
        </StatedDefault>
        <StatedDefault
          name={say('shelf.part.laboratory')}
          text={said === '' ? say('shelf.soil.noLaboratory') : said}
          isWrong={isWrongAt(props, 'lab', 'ph')}
        >
          <LabelledField label={say('shelf.soil.laboratory')} {...field('lab')} />
          <LabelledField
            label={say('shelf.soil.ph')}
            placeholder="6.2"
            inputMode="decimal"
            {...field('ph')}
          />
        </StatedDefault>
      </Box>
      <NotesField label={say('shelf.soil.lime')} {...bind('limeNote')} />
      <NotesField label={say('shelf.soil.notes')} {...bind('notes')} />
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
            <chakra.span>{say('shelf.soil.mix')}</chakra.span>
          </Link>
        </Button>
      )}
    />
  );
}
