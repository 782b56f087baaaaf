import { Box } from '@chakra-ui/react';
import { textWithUnit, UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/machines';
import {
  CATCH_KINDS,
  PASS_PATTERNS,
  SPACING_METHODS,
  SPACING_METHOD_IDS,
  type CatchKind,
  type PassPattern,
  type SpacingMethod,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { useRigs } from '../kinds/useRigs.ts';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { isWrongAt } from '../documents/fields.ts';
import { LENGTH_CHOICES } from '../sites/units.ts';
import { CardChoice } from '../ui/CardChoice.tsx';
import { CheckLine } from '../ui/CheckLine.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { sentence } from '../ui/sentence.ts';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { unitChoices } from '../ui/unitChoices.ts';

const WEIGHTS = unitChoices(['g', 'oz', 'kg', 'lb']);
const KINDS = (Object.keys(CATCH_KINDS) as CatchKind[]).map((id) => ({ id, label: CATCH_KINDS[id] }));
const MODE_CHOICES = (Object.keys(PASS_PATTERNS) as PassPattern[]).map((id) => ({
  id,
  label: PASS_PATTERNS[id],
}));

type Props = DocFormProps<WidthTestInput>;

/** Whose throw it is, and how the spacing is found. */
function Questions({ input, set, bind, field }: Props) {
  const { data: rigs = [] } = useRigs();
  const throwing = rigs.filter(
    ({ input: rig }) => rigKind(rig.kind).width === 'pass spacing' && rigKind(rig.kind).puts !== 'wet',
  );
  return (
    <>
      <CardChoice
        label="Machine"
        value={input.rig === '' ? null : input.rig}
        options={throwing.map(({ id, input: rig }) => ({ id, label: rig.name }))}
        onChange={(id) => {
          const rig = throwing.find((each) => each.id === id)?.input;
          set('rig', id);
          if (rig && input.name.trim() === '') set('name', `${rig.name}, width`);
        }}
      />
      <CardChoice<SpacingMethod>
        label="Spacing by"
        options={SPACING_METHOD_IDS.map((id) => ({ id, label: SPACING_METHODS[id] }))}
        {...bind('spacingMethod')}
      >
        {input.spacingMethod !== 'trays' && (
          <Box flexBasis="100%" maxWidth="220px">
            <LabelledField label="Full throw" placeholder="18 ft" data-flow {...field('throw.text')} />
          </Box>
        )}
      </CardChoice>
    </>
  );
}

/** How the trays stand, in a line: "13 trays 2 ft apart, 20 × 12 in each, 3 passes over them". */
function layoutText({ layout, tray, passes }: WidthTestInput): string {
  const trays =
    layout.positions.trim() === ''
      ? `${layout.count} trays ${textWithUnit(layout.spacing, layout.unit)} apart${layout.gap.trim() === '' ? '' : `, ${textWithUnit(layout.gap, layout.unit)} left for the wheels`}`
      : `Trays at ${layout.positions.trim()} ${UNITS[layout.unit].symbol}`;
  return `${trays}, ${tray.length} × ${tray.width} ${UNITS[tray.unit].symbol} each, ${passes} passes over them`;
}

function TrayLayout(props: Props) {
  const { input, bind, field } = props;
  const isTyped = input.layout.positions.trim() !== '';
  return (
    <StatedDefault
      name="tray layout"
      text={layoutText(input)}
      isWrong={isWrongAt(
        props,
        'layout.count',
        'layout.spacing',
        'layout.gap',
        'layout.positions',
        'tray.length',
        'tray.width',
        'passes',
      )}
    >
      {!isTyped && <LabelledField label="Trays" placeholder="17" data-flow {...field('layout.count')} />}
      {!isTyped && (
        <LabelledField label="Tray spacing" placeholder="0.5" data-flow {...field('layout.spacing')} />
      )}
      {!isTyped && (
        <LabelledField label="Gap for the wheels" placeholder="none" data-flow {...field('layout.gap')} />
      )}
      <LabelledField
        label="Positions, left −"
        placeholder="-2 -1 -0.5 0 0.5 1 2"
        {...field('layout.positions')}
      />
      <LabelledField label="Tray length" placeholder="0.5" data-flow {...field('tray.length')} />
      <LabelledField label="Tray width" placeholder="0.3" data-flow {...field('tray.width')} />
      <Choice<LengthUnit> label="Tray size unit" options={LENGTH_CHOICES} {...bind('tray.unit')} />
      <LabelledField label="Passes over them" placeholder="3" data-flow {...field('passes')} />
    </StatedDefault>
  );
}

function Reading(props: Props) {
  const { input, bind, field } = props;
  const isWeighed = input.kind === 'mass';
  const step = input.scaleStep.trim();
  const text = isWeighed
    ? `Weights in ${UNITS[input.unit].symbol}, ${step === '' ? 'to their last digit' : `to ${textWithUnit(step, input.unit)}`}`
    : sentence(CATCH_KINDS[input.kind]);
  return (
    <StatedDefault name="reading" text={text} isWrong={isWrongAt(props, 'scaleStep')}>
      <Choice<CatchKind> label="Reading" options={KINDS} {...bind('kind')} />
      {isWeighed && <Choice<MassUnit> label="Weight unit" options={WEIGHTS} {...bind('unit')} />}
      {isWeighed && <LabelledField label="Scale step" placeholder="its last digit" {...field('scaleStep')} />}
    </StatedDefault>
  );
}

function Passes(props: Props) {
  const { input, set, bind, field } = props;
  const deflector = input.deflector ? ', side deflector down: for trim passes' : '';
  return (
    <StatedDefault
      name="passes and evenness"
      text={`${sentence(PASS_PATTERNS[input.passPattern])}; maximum CV ${input.limit.trim() || '15'} %${deflector}`}
      isWrong={isWrongAt(props, 'limit')}
    >
      <Choice<PassPattern> label="Passes go" options={MODE_CHOICES} {...bind('passPattern')} />
      <LabelledField label="Maximum CV, %" placeholder="15" inputMode="decimal" {...field('limit')} />
      <Box gridColumn="1 / -1">
        <CheckLine
          label="Side deflector down: a pattern for trim passes"
          checked={input.deflector}
          onChange={() => set('deflector', !input.deflector)}
        />
      </Box>
    </StatedDefault>
  );
}

function Circumstances(props: Props) {
  const { input, bind, field } = props;
  const said = [
    input.product.trim(),
    input.setting.trim() && `at ${input.setting.trim()}`,
    dayText(input.onDay),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <StatedDefault
      name="product, setting and day"
      text={said === '' ? 'Product, setting and day are not noted' : said}
      isWrong={isWrongAt(props, 'onDay')}
    >
      <LabelledField label="Product" placeholder="Lake feed 24-0-8" {...bind('product')} />
      <LabelledField label="Setting" placeholder="11" {...bind('setting')} />
      <LabelledField label="Day" type="date" {...field('onDay')} />
    </StatedDefault>
  );
}

function Lengths({ input, set }: Props) {
  const setUnit = (unit: LengthUnit) => {
    set('layout.unit', unit);
    set('throw.unit', unit);
    set('looked.unit', unit);
  };
  return (
    <StatedDefault name="units" text={`Lengths without a unit are ${UNITS[input.layout.unit].symbol}`}>
      <Choice<LengthUnit>
        label="Length unit"
        value={input.layout.unit}
        options={LENGTH_CHOICES}
        onChange={setUnit}
      />
    </StatedDefault>
  );
}

/** What a width test asks: the machine and the way; everything else in lines that can be changed. */
export function WidthAim(props: Props) {
  const { input, field } = props;
  const usesTrays = input.spacingMethod === 'trays';
  return (
    <>
      <Questions {...props} />
      <Box as="section" aria-label="Assumed" marginBottom="18px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          Assumed
        </Box>
        {usesTrays && <TrayLayout {...props} />}
        {usesTrays && <Reading {...props} />}
        {usesTrays && <Passes {...props} />}
        <Circumstances {...props} />
        <Lengths {...props} />
        <StatedDefault
          name="name"
          text={input.name.trim() === '' ? 'It has no name yet' : `Saved as “${input.name}”`}
          isWrong={isWrongAt(props, 'name')}
        >
          <LabelledField label="Name" placeholder="Red spreader, trays" {...field('name')} />
        </StatedDefault>
      </Box>
    </>
  );
}
