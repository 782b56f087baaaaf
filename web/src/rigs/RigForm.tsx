import { Box } from '@chakra-ui/react';
import {
  evaluateRig,
  RIG_KIND_IDS,
  rigKind,
  scaleLine,
  type Feeds,
  type RigInput,
  type RigKind,
} from '@steady-scatter/core/machines';
import { textWithUnit, UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { nameOf, say } from '@steady-scatter/words/rigs';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { CardChoice } from '../ui/CardChoice.tsx';
import { Choice } from '../ui/Choice.tsx';
import { Fields, NotesField } from '../ui/formParts.tsx';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { unitChoices } from '../ui/unitChoices.ts';
import { RigDrawing } from './RigDrawing.tsx';
import { ScaleField } from './ScaleField.tsx';
import { Checks, Services } from './RigCare.tsx';
import { SprayDefaults, SprayQuestions } from './SprayFields.tsx';

type Props = DocFormProps<RigInput>;

const WEIGHTS = unitChoices(['lb', 'kg']);
const FEEDS = [
  { id: 'own-rows', label: say('rigs.outlet.rows') },
  { id: 'one-row', label: say('rigs.outlet.oneRow') },
] as const;
const WIDTHS = {
  hopper: {
    label: say('rigs.width.hopper'),
    said: say('rigs.width.hopperIs'),
    missing: say('rigs.width.hopperUnset'),
  },
  passes: {
    label: say('rigs.width.passes'),
    said: say('rigs.width.passesIs'),
    missing: say('rigs.width.passesUnset'),
  },
  rows: {
    label: say('rigs.width.rows'),
    said: say('rigs.width.rowsIs'),
    missing: say('rigs.width.rowsUnset'),
  },
} as const;

/** What makes it this machine: its kind, its name, its marks and its hopper. */
function Questions(props: Props & { isNew: boolean }) {
  const { input, bind, field, isNew } = props;
  const { puts } = rigKind(input.kind);
  const kinds = (
    <CardChoice<RigKind>
      label={say('rigs.kind')}
      isGrid
      options={RIG_KIND_IDS.map((id) => ({
        id,
        label: nameOf('rig', id),
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
          name={say('rigs.part.kind')}
          text={nameOf('rig', input.kind)}
          picture={<RigDrawing kind={input.kind} />}
        >
          <Box gridColumn="1 / -1">{kinds}</Box>
        </StatedDefault>
      )}
      <Fields>
        <LabelledField label={say('rigs.name')} placeholder={say('rigs.nameHint')} {...field('name')} />
        {puts !== 'wet' && <ScaleField {...props} of="control" label={say('rigs.scale')} />}
        {puts !== 'wet' && (
          <LabelledField
            label={say('rigs.hopper')}
            placeholder={say('rigs.hopperHint')}
            {...field('hopper.size')}
          />
        )}
        {puts !== 'dry' && <SprayQuestions {...props} />}
      </Fields>
    </>
  );
}

function Width(props: Props) {
  const { input, field } = props;
  const { width } = rigKind(input.kind);
  const { label, said, missing } = WIDTHS[width];
  return (
    <>
      <StatedDefault
        name={say('rigs.part.width')}
        text={
          input.width.text.trim() === ''
            ? missing
            : `${said} ${textWithUnit(input.width.text, input.width.unit)}`
        }
        isWrong={isWrongAt(props, 'width.text')}
      >
        <LabelledField label={label} placeholder={say('rigs.width.hint')} {...field('width.text')} />
      </StatedDefault>
      {width === 'rows' && <Outlets {...props} />}
    </>
  );
}

function Pace(props: Props) {
  const { input, field } = props;
  const { paceMPerS, paceIsUsual } = evaluateRig(input);
  const isOdd = paceMPerS !== null && !paceIsUsual;
  const pace =
    input.pace.time.trim() === ''
      ? say('rigs.pace.unset')
      : say('rigs.pace.is', {
          course: textWithUnit(input.pace.course, input.pace.unit),
          time: textWithUnit(input.pace.time, 's'),
        });
  return (
    <StatedDefault
      name={say('rigs.part.pace')}
      text={pace}
      isWrong={isWrongAt(props, 'pace.course', 'pace.time') || isOdd}
    >
      <LabelledField
        label={say('rigs.pace.course')}
        placeholder={say('rigs.pace.courseHint')}
        {...field('pace.course')}
      />
      <LabelledField label={say('rigs.pace.time')} placeholder="27.2" {...field('pace.time')} />
      {isOdd && (
        <Box color="warn" fontWeight="semibold" gridColumn="1 / -1">
          {say('rigs.pace.doubt')}
        </Box>
      )}
    </StatedDefault>
  );
}

function Outlets(props: Props) {
  const { input, bind, field } = props;
  const count = input.outlets.count.trim() || '1';
  const feeds = FEEDS.find(({ id }) => id === input.outlets.feeds)!;
  return (
    <StatedDefault
      name={say('rigs.part.outlets')}
      text={count === '1' ? say('rigs.outlet.one') : say('rigs.outlet.many', { count, feeds: feeds.label })}
      isWrong={isWrongAt(props, 'outlets.count')}
    >
      <LabelledField
        label={say('rigs.outlet.count')}
        placeholder="1"
        inputMode="numeric"
        {...field('outlets.count')}
      />
      <Choice<Feeds> label={say('rigs.outlet.feeds')} options={FEEDS} {...bind('outlets.feeds')} />
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
        name={say('rigs.part.control')}
        text={say('rigs.control.on', {
          control: control.name.trim() || say('rigs.control.unnamed'),
          place: control.readAt.trim() || 'none',
        })}
      >
        <LabelledField
          label={say('rigs.control.name')}
          placeholder={say('rigs.control.nameHint')}
          {...bind('control.name')}
        />
        <LabelledField
          label={say('rigs.control.readAt')}
          placeholder={say('rigs.control.readAtHint')}
          {...bind('control.readAt')}
        />
      </StatedDefault>
      <StatedDefault
        name={say('rigs.part.second')}
        text={
          line === ''
            ? say('rigs.second.none')
            : say('rigs.second.is', {
                control: second.name.trim() || say('rigs.second.unnamed'),
                scale: line,
              })
        }
        isWrong={evaluateRig(input).second.errors.length > 0}
      >
        <LabelledField
          label={say('rigs.second.name')}
          placeholder={say('rigs.second.nameHint')}
          {...props.bind('second.name')}
        />
        <Box gridColumn={{ md: 'span 2' }}>
          <ScaleField {...props} of="second" label={say('rigs.second.scale')} />
        </Box>
      </StatedDefault>
    </>
  );
}

function BareUnits({ input, bind, set }: Props) {
  return (
    <StatedDefault
      name={say('rigs.part.units')}
      text={say('rigs.units.are', {
        mass: UNITS[input.hopper.unit].symbol,
        length: UNITS[input.width.unit].symbol,
      })}
    >
      <Choice<MassUnit> label={say('rigs.units.mass')} options={WEIGHTS} {...bind('hopper.unit')} />
      <Choice<LengthUnit>
        label={say('rigs.units.length')}
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
  const { puts } = rigKind(props.input.kind);
  return (
    <>
      <Questions {...props} />
      <Box as="section" aria-label={say('rigs.assumed')} marginTop="20px" maxWidth="820px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('rigs.assumed')}
        </Box>
        {puts !== 'wet' && <Width {...props} />}
        {puts !== 'dry' && <SprayDefaults {...props} />}
        <Pace {...props} />
        {puts !== 'wet' && <Controls {...props} />}
        <Checks {...props} />
        <Services {...props} />
        <BareUnits {...props} />
      </Box>
      <NotesField label={say('rigs.notes')} {...props.bind('notes')} />
    </>
  );
}
