import { Box, Button, IconButton } from '@chakra-ui/react';
import { type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import {
  blankRig,
  evaluateRig,
  RIG_KIND_IDS,
  RIG_KINDS,
  rigKind,
  type Feeds,
  type RigKind,
  type RigInput,
  type ScaleInput,
} from '@steady-scatter/core/machines';
import { Plus, Trash2 } from 'lucide-react';
import { v7 as newId } from 'uuid';
import { DocPage, type DocFormProps } from '../documents/DocPage.tsx';
import { useSystem } from '../settings/useSystem.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Section } from '../ui/Section.tsx';
import { today } from '../ui/today.ts';
import { RIGS } from '../kinds/useRigs.ts';
import { unitChoices } from '../ui/unitChoices.ts';

const KINDS = RIG_KIND_IDS.map((id) => ({ id, label: RIG_KINDS[id].words }));
const STYLES = [
  { id: 'numbers', label: 'numbers' },
  { id: 'letters', label: 'letters' },
  { id: 'own', label: 'marks of your own' },
] as const;
const WEIGHTS = unitChoices(['lb', 'kg']);
const FEEDS = [
  { id: 'own-rows', label: 'a row each' },
  { id: 'one-row', label: 'all one row' },
] as const;
const WIDTHS = {
  hopper: 'Width of the hopper',
  'pass spacing': 'Usual pass spacing',
  'row spacing': 'Between two rows',
};

/** A control with its marks: numbers, letters, or pencil lines. */
function ControlSection({
  of,
  input,
  errorAt,
  onChange,
}: DocFormProps<RigInput> & { of: 'control' | 'second' }) {
  const control = input[of];
  const set = (more: Partial<ScaleInput>) => onChange({ ...input, [of]: { ...control, ...more } });
  const field = (name: Exclude<keyof ScaleInput, 'style'>, label: string, placeholder: string) => (
    <LabelledField
      label={label}
      placeholder={placeholder}
      value={control[name]}
      error={errorAt(`${of}.${name}`)}
      onChange={(text) => set({ [name]: text })}
    />
  );
  const { marks } = evaluateRig(input)[of];
  const isMain = of === 'control';
  return (
    <Section heading={isMain ? 'The control that is set' : 'A second control, that stays as it is in a test'}>
      <Fields>
        {field('name', 'It is called', isMain ? 'gate' : 'spinner speed')}
        <Choice<ScaleInput['style']>
          label="Its scale has"
          value={control.style}
          options={STYLES}
          onChange={(style) => set({ style })}
        />
        {control.style !== 'own' && field('from', 'First mark', control.style === 'numbers' ? '0' : 'A')}
        {control.style !== 'own' && field('to', 'Last mark', control.style === 'numbers' ? '20' : 'M')}
        {control.style === 'numbers' && field('step', 'Smallest step', '0.5')}
        {control.style === 'own' &&
          field('own', 'Marks, from shut on, with commas', 'shut, thin line, thick line')}
        {field('closed', 'Closed at', marks[0]?.label ?? '0')}
        {isMain && field('firstFlow', 'Product first flows at', 'not noted')}
        {field('readAt', 'Read at', 'left edge of the pointer')}
      </Fields>
      <Box fontSize="16px" marginTop="8px">
        {marks.length > 0
          ? `${marks.length} marks, from ${marks[0]!.label} (shut) to ${marks.at(-1)!.label}. Always come to a mark from the same side: gates have slack.`
          : !isMain
            ? 'Without marks there is none. It is part of each chart: a test holds for the mark that it stood at.'
            : 'Marks that cannot be read any more? Scratch or pencil your own beside them and list them here.'}
      </Box>
    </Section>
  );
}

/** What was done to it, and when it is due again. */
function ServiceSection({ input, errorAt, onChange }: DocFormProps<RigInput>) {
  const set = (at: number, more: object) =>
    onChange({ ...input, services: input.services.with(at, { ...input.services[at]!, ...more }) });
  return (
    <Section heading="Service">
      {input.services.map((service, at) => (
        <Box
          key={service.id}
          display="grid"
          gap="10px"
          gridTemplateColumns={{ base: '1fr', md: '170px 1fr 170px 44px' }}
          alignItems="end"
          paddingBottom="10px"
        >
          <LabelledField
            label="Day"
            type="date"
            value={service.onDay}
            error={errorAt(`services.${at}.onDay`)}
            onChange={(onDay) => set(at, { onDay })}
          />
          <LabelledField label="What was done" value={service.what} onChange={(what) => set(at, { what })} />
          <LabelledField
            label="Due again"
            type="date"
            value={service.dueDay}
            error={errorAt(`services.${at}.dueDay`)}
            onChange={(dueDay) => set(at, { dueDay })}
          />
          <IconButton
            aria-label={`Remove service ${at + 1}`}
            variant="ghost"
            color="ink.soft"
            minWidth="44px"
            minHeight="44px"
            onClick={() => onChange({ ...input, services: input.services.toSpliced(at, 1) })}
          >
            <Trash2 size={18} />
          </IconButton>
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        onClick={() =>
          onChange({
            ...input,
            services: [...input.services, { id: newId(), onDay: today(), what: '', dueDay: '' }],
          })
        }
      >
        <Plus size={18} /> Add a service
      </Button>
    </Section>
  );
}

/** What is looked at: what the kind asks for, and own additions, a line each. */
function ChecksSection({ input, onChange }: DocFormProps<RigInput>) {
  const { before, after } = rigKind(input.kind);
  const list = (name: 'before' | 'after', label: string, given: readonly string[]) => (
    <Box>
      <Box fontSize="16px">{given.join('; ')}.</Box>
      <NotesField
        label={label}
        value={input[name].join('\n')}
        onChange={(text) => onChange({ ...input, [name]: text.split('\n').slice(0, 60) })}
      />
    </Box>
  );
  return (
    <Section heading="Looked at before use and after it">
      <Fields>
        {list('before', 'Also before use, a line each', before)}
        {list('after', 'Also after use, a line each', after)}
      </Fields>
    </Section>
  );
}

function RigForm(props: DocFormProps<RigInput>) {
  const { input, onChange, bind, field } = props;
  const { paceMPerS, paceIsUsual } = evaluateRig(input);
  const { width, puts } = rigKind(input.kind);
  const isDry = puts !== 'wet';
  return (
    <>
      <Section heading="Which machine">
        <Fields>
          <LabelledField label="Name" placeholder="Red push spreader" {...field('name')} />
          <Choice<RigKind> label="Kind" options={KINDS} {...bind('kind')} />
          <LabelledField label="Hopper holds" placeholder="50 lb" {...field('hopper.size')} />
          <Choice<MassUnit> label="Bare weights in" options={WEIGHTS} {...bind('hopper.unit')} />
          <LabelledField label={WIDTHS[width]} placeholder="9 ft" {...field('width.text')} />
          <Choice<LengthUnit>
            label="Bare lengths in"
            value={input.width.unit}
            options={LENGTH_CHOICES}
            onChange={(unit) =>
              onChange({ ...input, width: { ...input.width, unit }, pace: { ...input.pace, unit } })
            }
          />
          <LabelledField label="Usual pace: a course of" placeholder="120 ft" {...field('pace.course')} />
          <LabelledField label="takes, seconds" placeholder="27.2" {...field('pace.time')} />
          {width === 'row spacing' && (
            <LabelledField label="Outlets" placeholder="1" inputMode="numeric" {...field('outlets.count')} />
          )}
          {width === 'row spacing' && (
            <Choice<Feeds> label="They feed" options={FEEDS} {...bind('outlets.feeds')} />
          )}
        </Fields>
        {paceMPerS !== null && !paceIsUsual && (
          <Box color="warn" fontWeight="semibold" marginTop="8px">
            ▲ That pace is hard to hold with this machine. Check the course and the time.
          </Box>
        )}
      </Section>
      {isDry && <ControlSection {...props} of="control" />}
      {isDry && <ControlSection {...props} of="second" />}
      <ChecksSection {...props} />
      <ServiceSection {...props} />
      <NotesField label="Notes" {...bind('notes')} />
    </>
  );
}

/** A machine: its control with the marks on it, its pace, what is looked at and what was done to it. */
export default function RigPage() {
  const system = useSystem();
  return (
    <DocPage kind={RIGS} blank={() => blankRig(system)} renderForm={(props) => <RigForm {...props} />} />
  );
}
