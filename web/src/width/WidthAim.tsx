import { Box } from '@chakra-ui/react';
import { textWithUnit, UNITS, type LengthUnit, type MassUnit } from '@steady-scatter/core/quantities';
import { rigKind } from '@steady-scatter/core/machines';
import {
  CATCH_KINDS,
  PASS_PATTERNS,
  SPACING_METHODS,
  type CatchKind,
  type PassPattern,
  type SpacingMethod,
  type WidthTestInput,
} from '@steady-scatter/core/width';
import { nameOf, say } from '@steady-scatter/words/width';
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
const KINDS = CATCH_KINDS.map((id) => ({ id, label: nameOf('catch', id) }));
const MODE_CHOICES = PASS_PATTERNS.map((id) => ({
  id,
  label: nameOf('passPattern', id),
}));

type Props = DocFormProps<WidthTestInput>;

/** Whose throw it is, and how the spacing is found. */
function Questions({ input, set, bind, field }: Props) {
  const { data: rigs = [] } = useRigs();
  const throwing = rigs.filter(
    ({ input: rig }) => rigKind(rig.kind).width === 'passes' && rigKind(rig.kind).puts !== 'wet',
  );
  return (
    <>
      <CardChoice
        label={say('width.aim.machine')}
        value={input.rig === '' ? null : input.rig}
        options={throwing.map(({ id, input: rig }) => ({ id, label: rig.name }))}
        onChange={(id) => {
          const rig = throwing.find((each) => each.id === id)?.input;
          set('rig', id);
          if (rig && input.name.trim() === '') set('name', say('width.aim.nameFor', { machine: rig.name }));
        }}
      />
      <CardChoice<SpacingMethod>
        label={say('width.aim.method')}
        options={SPACING_METHODS.map((id) => ({ id, label: nameOf('spacingMethod', id) }))}
        {...bind('spacingMethod')}
      >
        {input.spacingMethod !== 'trays' && (
          <Box flexBasis="100%" maxWidth="220px">
            <LabelledField
              label={say('width.aim.throw')}
              placeholder={say('width.aim.throwHint')}
              {...field('throw.text')}
            />
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
      ? say('width.aim.traysAre', {
          count: layout.count,
          spacing: textWithUnit(layout.spacing, layout.unit),
          gap: layout.gap.trim() === '' ? 'none' : textWithUnit(layout.gap, layout.unit),
        })
      : say('width.aim.traysAt', { positions: layout.positions.trim(), unit: UNITS[layout.unit].symbol });
  return say('width.aim.traysOf', {
    trays,
    length: tray.length,
    width: tray.width,
    unit: UNITS[tray.unit].symbol,
    passes,
  });
}

function TrayLayout(props: Props) {
  const { input, bind, field } = props;
  const isTyped = input.layout.positions.trim() !== '';
  return (
    <StatedDefault
      name={say('width.part.layout')}
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
      {!isTyped && (
        <LabelledField label={say('width.aim.trays')} placeholder="17" {...field('layout.count')} />
      )}
      {!isTyped && (
        <LabelledField label={say('width.aim.traySpacing')} placeholder="0.5" {...field('layout.spacing')} />
      )}
      {!isTyped && (
        <LabelledField
          label={say('width.aim.gap')}
          placeholder={say('width.aim.gapHint')}
          {...field('layout.gap')}
        />
      )}
      <LabelledField
        label={say('width.aim.positions')}
        placeholder="-2 -1 -0.5 0 0.5 1 2"
        {...field('layout.positions')}
      />
      <LabelledField label={say('width.aim.trayLength')} placeholder="0.5" {...field('tray.length')} />
      <LabelledField label={say('width.aim.trayWidth')} placeholder="0.3" {...field('tray.width')} />
      <Choice<LengthUnit> label={say('width.aim.trayUnit')} options={LENGTH_CHOICES} {...bind('tray.unit')} />
      <LabelledField label={say('width.aim.passes')} placeholder="3" {...field('passes')} />
    </StatedDefault>
  );
}

function Reading(props: Props) {
  const { input, bind, field } = props;
  const isWeighed = input.kind === 'mass';
  const step = input.scaleStep.trim();
  const text = isWeighed
    ? say('width.aim.weights', {
        unit: UNITS[input.unit].symbol,
        step: step === '' ? 'none' : textWithUnit(step, input.unit),
      })
    : sentence(nameOf('catch', input.kind));
  return (
    <StatedDefault name={say('width.part.reading')} text={text} isWrong={isWrongAt(props, 'scaleStep')}>
      <Choice<CatchKind> label={say('width.aim.reading')} options={KINDS} {...bind('kind')} />
      {isWeighed && (
        <Choice<MassUnit> label={say('width.aim.massUnit')} options={WEIGHTS} {...bind('unit')} />
      )}
      {isWeighed && (
        <LabelledField
          label={say('width.aim.scaleStep')}
          placeholder={say('width.aim.scaleStepHint')}
          {...field('scaleStep')}
        />
      )}
    </StatedDefault>
  );
}

function Passes(props: Props) {
  const { input, set, bind, field } = props;
  const deflector = input.deflector ? say('width.aim.deflectorDown') : '';
  return (
    <StatedDefault
      name={say('width.part.passes')}
      text={say('width.aim.pattern', {
        pattern: sentence(nameOf('passPattern', input.passPattern)),
        limit: input.limit.trim() || '15',
        deflector,
      })}
      isWrong={isWrongAt(props, 'limit')}
    >
      <Choice<PassPattern>
        label={say('width.aim.passesGo')}
        options={MODE_CHOICES}
        {...bind('passPattern')}
      />
      <LabelledField
        label={say('width.aim.limit')}
        placeholder="15"
        inputMode="decimal"
        {...field('limit')}
      />
      <Box gridColumn="1 / -1">
        <CheckLine
          label={say('width.aim.deflector')}
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
    input.setting.trim() && say('width.aim.atSetting', { setting: input.setting.trim() }),
    dayText(input.onDay),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <StatedDefault
      name={say('width.part.about')}
      text={said === '' ? say('width.aim.aboutNone') : said}
      isWrong={isWrongAt(props, 'onDay')}
    >
      <LabelledField
        label={say('width.aim.product')}
        placeholder={say('width.aim.productHint')}
        {...bind('product')}
      />
      <LabelledField label={say('width.aim.setting')} placeholder="11" {...bind('setting')} />
      <LabelledField label={say('width.aim.day')} type="date" {...field('onDay')} />
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
    <StatedDefault
      name={say('width.part.units')}
      text={say('width.aim.lengths', { unit: UNITS[input.layout.unit].symbol })}
    >
      <Choice<LengthUnit>
        label={say('width.aim.lengthUnit')}
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
      <Box as="section" aria-label={say('width.aim.assumed')} marginBottom="18px">
        <Box fontSize="15px" fontWeight="semibold" color="ink.soft">
          {say('width.aim.assumed')}
        </Box>
        {usesTrays && <TrayLayout {...props} />}
        {usesTrays && <Reading {...props} />}
        {usesTrays && <Passes {...props} />}
        <Circumstances {...props} />
        <Lengths {...props} />
        <StatedDefault
          name={say('width.part.name')}
          text={
            input.name.trim() === ''
              ? say('width.aim.noName')
              : say('width.aim.savedAs', { name: input.name })
          }
          isWrong={isWrongAt(props, 'name')}
        >
          <LabelledField
            label={say('width.aim.name')}
            placeholder={say('width.aim.nameHint')}
            {...field('name')}
          />
        </StatedDefault>
      </Box>
    </>
  );
}
