import { evaluateSpray, rigKind, scaleLine, type RigInput } from '@steady-scatter/core/machines';
import { showQuantity, textWithUnit } from '@steady-scatter/core/quantities';
import { say } from '@steady-scatter/words/rigs';
import type { DocFormProps } from '../documents/DocPage.tsx';
import { fieldsOfPart, isWrongAt } from '../documents/fields.ts';
import { useNozzles } from '../kinds/useNozzles.ts';
import { NozzleFields } from '../nozzles/NozzleFields.tsx';
import { Choice } from '../ui/Choice.tsx';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { StatedDefault } from '../ui/StatedDefault.tsx';
import { BareUnit } from '../ui/BareUnit.tsx';
import { ScaleField } from './ScaleField.tsx';

type Props = DocFormProps<RigInput>;

/** What changes the answer of a sprayer: its tank, and the nozzles on it. */
export function SprayQuestions({ input, field }: Props) {
  const { nozzles } = rigKind(input.kind);
  return (
    <>
      <LabelledField
        label={say(input.kind === 'hose-end' ? 'rigs.spray.bottle' : 'rigs.spray.tank')}
        placeholder={say('rigs.spray.tankHint')}
        unit={<BareUnit text={input.spray.tank.size} unit={input.spray.tank.unit} />}
        {...field('spray.tank.size')}
      />
      {nozzles === 'row' && (
        <>
          <LabelledField label={say('rigs.spray.count')} placeholder="8" inputMode="numeric" {...field('spray.count')} />
          <LabelledField label={say('rigs.spray.spacing')} placeholder={say('rigs.spray.spacingHint')} unit={<BareUnit {...input.spray.spacing} />} {...field('spray.spacing.text')} />
        </>
      )}
    </>
  ); // prettier-ignore
}

/** Which nozzle is fitted: one of the crew's table, or as typed. */
function Nozzle(props: Props) {
  const { input, set, bind, field, errorAt } = props;
  const { nozzle, fittedOn } = input.spray;
  const { data: table = [] } = useNozzles();
  const known = table.find((each) => each.input.name === nozzle.name);
  const text =
    nozzle.name === '' && nozzle.flow.text === ''
      ? say('rigs.nozzle.none')
      : say('rigs.nozzle.fitted', {
          name: nozzle.name || say('rigs.nozzle.unnamed'),
          rated: nozzle.flow.text === '' || nozzle.at.text === '' ? 'none' : say('rigs.nozzle.rated', { flow: textWithUnit(nozzle.flow.text, nozzle.flow.unit), at: textWithUnit(nozzle.at.text, nozzle.at.unit) }),
          day: fittedOn === '' ? 'none' : dayText(fittedOn),
        });
  const facts = fieldsOfPart(nozzle, (next) => set('spray.nozzle', next), (path) => errorAt(`spray.nozzle.${path}`));
  return (
    <StatedDefault name={say('rigs.part.nozzle')} text={text} isWrong={isWrongAt(props, 'spray.nozzle.flow.text', 'spray.nozzle.at.text', 'spray.nozzle.low', 'spray.nozzle.high', 'spray.fittedOn')}>
      {table.length > 0 && (
        <Choice
          label={say('rigs.nozzle.fromTable')}
          value={known?.id ?? ''}
          options={[{ id: '', label: say('rigs.nozzle.typed') }, ...table.map(({ id, input: { name } }) => ({ id, label: name }))]}
          onChange={(id) => {
            const chosen = table.find((each) => each.id === id)?.input;
            if (!chosen) return;
            const { notes: _, ...of } = chosen;
            set('spray.nozzle', of);
          }}
        />
      )}
      <LabelledField label={say('rigs.nozzle.name')} placeholder={say('rigs.nozzle.nameHint')} {...bind('spray.nozzle.name')} />
      <NozzleFields {...facts} />
      <LabelledField label={say('rigs.nozzle.fittedOn')} type="date" {...field('spray.fittedOn')} />
    </StatedDefault>
  );
} // prettier-ignore

/** How wide it sprays: as measured, grass before concrete, else nozzles times their spacing. */
function Widths(props: Props) {
  const { input, field } = props;
  const { widthM, widthFrom } = evaluateSpray(input.spray, input.kind);
  const { grass } = input.spray.width;
  const width = widthM === null ? null : showQuantity(widthM, grass.unit, 3);
  return (
    <StatedDefault
      name={say('rigs.part.sprayWidth')}
      text={width && widthFrom ? say('rigs.spray.widthIs', { from: widthFrom, width: `${width.number} ${width.unit}` }) : say('rigs.spray.widthUnset')}
      isWrong={isWrongAt(props, 'spray.width.grass.text', 'spray.width.concrete.text')}
    >
      <LabelledField label={say('rigs.spray.onGrass')} placeholder={say('rigs.width.hint')} unit={<BareUnit {...grass} />} {...field('spray.width.grass.text')} />
      <LabelledField label={say('rigs.spray.onConcrete')} placeholder={say('rigs.width.hint')} unit={<BareUnit {...input.spray.width.concrete} />} {...field('spray.width.concrete.text')} />
    </StatedDefault>
  );
} // prettier-ignore

/** What is assumed of how it sprays. */
export function SprayDefaults(props: Props) {
  const { input, bind, field } = props;
  const { pressure } = input.spray;
  const line = scaleLine(input.control);
  return (
    <>
      <Nozzle {...props} />
      <StatedDefault
        name={say('rigs.part.pressure')}
        text={pressure.text.trim() === '' ? say('rigs.spray.pressureUnset') : say('rigs.spray.pressureIs', { pressure: textWithUnit(pressure.text, pressure.unit) })}
        isWrong={isWrongAt(props, 'spray.pressure.text')}
      >
        <LabelledField label={say('rigs.spray.pressure')} placeholder={say('rigs.spray.pressureHint')} unit={<BareUnit {...pressure} />} {...field('spray.pressure.text')} />
      </StatedDefault>
      <Widths {...props} />
      {rigKind(input.kind).puts === 'wet' && (
        <StatedDefault name={say('rigs.part.speed')} text={line === '' ? say('rigs.spray.noSpeed') : say('rigs.spray.speedIs', { control: input.control.name.trim() || say('rigs.control.unnamed'), scale: line })}>
          <LabelledField label={say('rigs.control.name')} placeholder={say('rigs.spray.speedHint')} {...bind('control.name')} />
          <ScaleField {...props} of="control" label={say('rigs.spray.speedScale')} />
        </StatedDefault>
      )}
    </>
  );
} // prettier-ignore
