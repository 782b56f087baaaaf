import { Box, Button } from '@chakra-ui/react';
import {
  evaluateRig,
  RIG_KIND_IDS,
  RIG_KINDS,
  rigKind,
  scaleLine,
  type Feeds,
  type RigInput,
  type RigKind,
} from '@steady-scatter/core/machines';
import { textWithUnit, UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { Plus } from 'lucide-react';
import { v7 as newId } from 'uuid';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { CardChoice } from '../ui/CardChoice.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { DeleteButton } from '../ui/DeleteButton.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { today } from '../ui/today.ts';
import { unitChoices } from '../ui/unitChoices.ts';
import { RigDrawing } from './RigDrawing.tsx';
import { ScaleField } from './ScaleField.tsx';

type Props = DocFormProps<RigInput>;

const WEIGHTS = unitChoices(['lb', 'kg']);
const FEEDS = [
  { id: 'own-rows', label: 'a row each' },
  { id: 'one-row', label: 'all one row' },
] as const;
const WIDTHS = {
  hopper: { label: 'Hopper width', said: 'Hopper width is', missing: 'Hopper width is not set' },
  'pass spacing': {
    label: 'Pass spacing',
    said: 'Usual pass spacing is',
    missing: 'Usual pass spacing is not set',
  },
  'row spacing': {
    label: 'Row spacing',
    said: 'Usual row spacing is',
    missing: 'Usual row spacing is not set',
  },
} as const;

/** What makes it this machine: its kind, its name, its marks and its hopper. */
function Questions(props: Props & { isNew: boolean }) {
  const { input, bind, field, isNew } = props;
  const { puts } = rigKind(input.kind);
  const kinds = (
    <CardChoice<RigKind>
      label="Kind"
      isGrid
      options={RIG_KIND_IDS.map((id) => ({
        id,
        label: RIG_KINDS[id].words,
        picture: <RigDrawing kind={id} />,
      }))}
      {...bind('kind')}
    />
  );
  return (
    <>
      {isNew ? (
        kinds
      ) : (
        <StatedDefault
          name="kind"
          text={RIG_KINDS[input.kind].words}
          picture={<RigDrawing kind={input.kind} />}
        >
          <Box gridColumn="1 / -1">{kinds}</Box>
        </StatedDefault>
      )}
      <Fields>
        <LabelledField label="Name" placeholder="Red push spreader" {...field('name')} />
        {puts !== 'wet' && <ScaleField {...props} of="control" label="Scale" />}
        {puts !== 'wet' && (
          <LabelledField label="Hopper holds" placeholder="50 lb" {...field('hopper.size')} />
        )}
      </Fields>
    </>
  );
}

function WidthAndPace(props: Props) {
  const { input, field } = props;
  const { width, puts } = rigKind(input.kind);
  const { label, said, missing } = WIDTHS[width];
  const { paceMPerS, paceIsUsual } = evaluateRig(input);
  const isOdd = paceMPerS !== null && !paceIsUsual;
  const pace =
    input.pace.time.trim() === ''
      ? 'Usual pace is not set'
      : `Usual pace is ${textWithUnit(input.pace.course, input.pace.unit)} in ${textWithUnit(input.pace.time, 's')}`;
  return (
    <>
      <StatedDefault
        name="width"
        text={
          input.width.text.trim() === ''
            ? missing
            : `${said} ${textWithUnit(input.width.text, input.width.unit)}`
        }
        isWrong={isWrongAt(props, 'width.text')}
      >
        <LabelledField label={label} placeholder="9 ft" {...field('width.text')} />
      </StatedDefault>
      <StatedDefault name="pace" text={pace} isWrong={isWrongAt(props, 'pace.course', 'pace.time') || isOdd}>
        <LabelledField label="Course length" placeholder="120 ft" {...field('pace.course')} />
        <LabelledField label="Course time, s" placeholder="27.2" {...field('pace.time')} />
        {isOdd && (
          <Box color="warn" fontWeight="semibold" gridColumn="1 / -1">
            ▲ That pace is hard to hold with this machine. Check the course and the time.
          </Box>
        )}
      </StatedDefault>
      {puts !== 'wet' && width === 'row spacing' && <Outlets {...props} />}
    </>
  );
}

function Outlets(props: Props) {
  const { input, bind, field } = props;
  const count = input.outlets.count.trim() || '1';
  const feeds = FEEDS.find(({ id }) => id === input.outlets.feeds)!;
  return (
    <StatedDefault
      name="outlets"
      text={count === '1' ? 'One outlet' : `${count} outlets, ${feeds.label}`}
      isWrong={isWrongAt(props, 'outlets.count')}
    >
      <LabelledField label="Outlets" placeholder="1" inputMode="numeric" {...field('outlets.count')} />
      <Choice<Feeds> label="They feed" options={FEEDS} {...bind('outlets.feeds')} />
    </StatedDefault>
  );
}

function Controls(props: Props) {
  const { input, bind } = props;
  const { control, second } = input;
  const line = scaleLine(second);
  return (
    <>
      <StatedDefault
        name="control"
        text={`The scale is on the ${control.name.trim() || 'control'}${control.readAt.trim() ? `, read at ${control.readAt.trim()}` : ''}`}
      >
        <LabelledField label="Control name" placeholder="gate" {...bind('control.name')} />
        <LabelledField label="Read at" placeholder="left edge of the pointer" {...bind('control.readAt')} />
      </StatedDefault>
      <StatedDefault
        name="second control"
        text={
          line === '' ? 'No second control' : `Second control: ${second.name.trim() || 'unnamed'}, ${line}`
        }
        isWrong={evaluateRig(input).second.errors.length > 0}
      >
        <LabelledField
          label="Second control name"
          placeholder="impeller speed"
          {...props.bind('second.name')}
        />
        <Box gridColumn={{ md: 'span 2' }}>
          <ScaleField {...props} of="second" label="Second scale" />
        </Box>
      </StatedDefault>
    </>
  );
}

/** What was done to it, and when it is due again. */
function Services(props: Props) {
  const { input, bind, field, add, removeAt } = props;
  const { services } = input;
  const due = services
    .map(({ dueDay }) => dueDay)
    .filter((day) => day !== '')
    .toSorted()[0];
  const text =
    services.length === 0
      ? 'No service noted'
      : `${services.length === 1 ? 'One service' : `${services.length} services`} noted${due ? `, due again ${dayText(due)}` : ''}`;
  const isWrong = services.some((_, at) => isWrongAt(props, `services.${at}.onDay`, `services.${at}.dueDay`));
  return (
    <StatedDefault name="service" text={text} isWrong={isWrong}>
      {services.map((service, at) => (
        <Box
          key={service.id}
          gridColumn="1 / -1"
          display="grid"
          gap="10px"
          gridTemplateColumns={{ base: '1fr', md: '170px 1fr 170px 44px' }}
          alignItems="end"
        >
          <LabelledField label="Day" type="date" {...field(`services.${at}.onDay`)} />
          <LabelledField label="Work done" {...bind(`services.${at}.what`)} />
          <LabelledField label="Due again" type="date" {...field(`services.${at}.dueDay`)} />
          <DeleteButton act="Remove" name={`service ${at + 1}`} onDelete={() => removeAt('services', at)} />
        </Box>
      ))}
      <Button
        variant="ghost"
        minHeight="44px"
        marginLeft="-12px"
        justifySelf="start"
        onClick={() => add('services', { id: newId(), onDay: today(), what: '', dueDay: '' })}
      >
        <Plus size={18} /> Add service
      </Button>
    </StatedDefault>
  );
}

/** What is looked at: what the kind asks for, and own additions, a line each. */
function Checks({ input, set }: Props) {
  const { before, after } = rigKind(input.kind);
  const own = [...input.before, ...input.after].filter((line) => line.trim() !== '').length;
  const list = (name: 'before' | 'after', label: string, given: readonly string[]) => (
    <Box gridColumn="1 / -1">
      <Box fontSize="16px">{given.join('; ')}.</Box>
      <NotesField
        label={label}
        value={input[name].join('\n')}
        onChange={(text) => set(name, text.split('\n').slice(0, 60))}
      />
    </Box>
  );
  return (
    <StatedDefault
      name="checks"
      text={`${before.length} checks before use and ${after.length} after${own > 0 ? `, ${own} of your own` : ''}`}
    >
      {list('before', 'Own checks before use, a line each', before)}
      {list('after', 'Own checks after use, a line each', after)}
    </StatedDefault>
  );
}

function BareUnits({ input, bind, set }: Props) {
  return (
    <StatedDefault
      name="units"
      text={`Numbers without a unit are ${UNITS[input.hopper.unit].symbol} and ${UNITS[input.width.unit].symbol}`}
    >
      <Choice<MassUnit> label="Weight unit" options={WEIGHTS} {...bind('hopper.unit')} />
      <Choice<LengthUnit>
        label="Length unit"
        value={input.width.unit}
        options={LENGTH_CHOICES}
        onChange={(unit) => {
          set('width.unit', unit);
          set('pace.unit', unit);
        }}
      />
    </StatedDefault>
  );
}

/** A machine: four answers, and everything else in lines that can be changed. */
export function RigForm(props: Props & { isNew: boolean }) {
  const isDry = rigKind(props.input.kind).puts !== 'wet';
  return (
    <>
      <Questions {...props} />
      <Box as="section" aria-label="Assumed" marginTop="20px" maxWidth="820px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          Assumed
        </Box>
        <WidthAndPace {...props} />
        {isDry && <Controls {...props} />}
        <Checks {...props} />
        <Services {...props} />
        <BareUnits {...props} />
      </Box>
      <NotesField label="Notes" {...props.bind('notes')} />
    </>
  );
}
