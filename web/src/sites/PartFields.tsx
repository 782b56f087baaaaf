import { Box } from '@chakra-ui/react';
import { toResult, type InputError } from '@steady-scatter/core/errors';
import {
  MEASURED_BY,
  SHAPE_KINDS,
  shapeOf,
  type BoundaryInput,
  type MeasuredBy,
  type Placing,
  type PartInput,
  type ShapeKind,
  type ShapeInput,
} from '@steady-scatter/core/ground';
import { fromSi, readNumber, showExact, toSi, UNITS, type LengthUnit } from '@steady-scatter/core/quantities';
import { useState } from 'react';
import { nameOf, say } from '@steady-scatter/words/sites';
import { asChoice, fieldsOfPart, type FieldsOf } from '../documents/fields.ts';
import { Choice } from '../ui/Choice.tsx';
import { sentence } from '../ui/sentence.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { LENGTH_CHOICES } from './units.ts';

type OnChange = (part: PartInput, about: string) => void;

interface Props {
  part: PartInput;
  isPlaced: boolean;
  errorAt(path: string): InputError | undefined;
  onChange: OnChange;
}

const SIGNS = [
  { id: 'add', label: say('sites.part.adds') },
  { id: 'cut', label: say('sites.part.cut') },
] as const;
const KINDS = SHAPE_KINDS.map((id) => ({ id, label: nameOf('shape', id) }));
const BY = MEASURED_BY.map((id) => ({ id, label: nameOf('measuredBy', id) }));

const Narrow = ({ children }: { children: React.ReactNode }) => (
  <Box
    display="grid"
    gap="10px"
    gridTemplateColumns="repeat(auto-fill, minmax(132px, 1fr))"
    alignItems="start"
  >
    {children}
  </Box>
);

/** What the length at a place is called: "offset 3" of a list. */
function lengthName(kind: ShapeKind, at: number): string {
  const { dimensions, repeats } = shapeOf(kind);
  const named = (place: number) => nameOf('dimension', dimensions[place] ?? 'length');
  if (!repeats || at < repeats.from) return named(at);
  const count = dimensions.length - repeats.from;
  const nth = Math.floor((at - repeats.from) / count) + 1;
  return `${named(repeats.from + ((at - repeats.from) % count))} ${nth}`;
}

/** A list grows by one more empty entry as its last one is typed. */
function grown(kind: ShapeKind, lengths: readonly string[]): readonly string[] {
  const { dimensions, repeats } = shapeOf(kind);
  if (!repeats || lengths.at(-1) === '') return lengths;
  return [...lengths, ...dimensions.slice(repeats.from).map(() => '')];
}

/** Lengths that fit the new kind stay. */
function asKind(part: ShapeInput, kind: ShapeKind): ShapeInput {
  const { dimensions, repeats } = shapeOf(kind);
  const count = repeats ? Math.max(repeats.from + repeats.least, part.lengths.length) : dimensions.length;
  return { ...part, kind, lengths: Array.from({ length: count }, (_, index) => part.lengths[index] ?? '') };
}

function PlaceField({
  label,
  unit,
  value,
  onSet,
}: {
  label: string;
  unit: string;
  value: number;
  onSet(value: number): void;
}) {
  // What is typed is held while it is no number yet.
  const [input, setInput] = useState<string | null>(null);
  return (
    <LabelledField
      label={label}
      unit={unit}
      inputMode="decimal"
      value={input ?? showExact(Math.round(value * 1000) / 1000)}
      onBlur={() => setInput(null)}
      onChange={(text) => {
        setInput(text);
        const { value: number } = toResult(() => readNumber(text, ''));
        if (number !== null && Math.abs(number) < 1e5) onSet(number);
      }}
    />
  );
}

/** Where a part lies on a placed drawing, typed. */
function PlacingFields({ unit, at, set }: FieldsOf<Placing> & { unit: LengthUnit; at: Placing }) {
  const { symbol } = UNITS[unit];
  return (
    <Narrow>
      <PlaceField
        label={say('sites.part.right')}
        unit={symbol}
        value={fromSi(at.x, unit)}
        onSet={(x) => set('x', toSi(x, unit))}
      />
      <PlaceField
        label={say('sites.part.up')}
        unit={symbol}
        value={fromSi(at.y, unit)}
        onSet={(y) => set('y', toSi(y, unit))}
      />
      <PlaceField
        label={say('sites.part.turned')}
        unit="°"
        value={at.turn}
        onSet={(turn) => set('turn', turn)}
      />
    </Narrow>
  );
}

function BoundaryFields({ bind, field }: FieldsOf<BoundaryInput>) {
  return (
    <Narrow>
      <Choice label={say('sites.part.role')} options={SIGNS} {...asChoice(bind('cut'), 'cut', 'add')} />
      <LabelledField label={say('sites.part.pointBand')} placeholder="3 m" {...field('off')} />
    </Narrow>
  );
}

function ShapeFields({
  part,
  bind,
  field,
  onChange,
}: FieldsOf<ShapeInput> & { part: ShapeInput; onChange: OnChange }) {
  const { symbol } = UNITS[part.unit];
  return (
    <>
      <Narrow>
        {part.lengths.map((_, index) => (
          <LabelledField
            // oxlint-disable-next-line react/no-array-index-key -- the place in the list is what the length is
            key={index}
            label={sentence(lengthName(part.kind, index))}
            unit={
              part.kind === 'walk' && index % 2 === 1
                ? '°'
                : part.by === 'paces'
                  ? say('sites.part.paces')
                  : symbol
            }
            {...field(`lengths.${index}`)}
            onChange={(text) =>
              onChange(
                { ...part, lengths: grown(part.kind, part.lengths.with(index, text)) },
                `lengths.${index}`,
              )
            }
          />
        ))}
      </Narrow>
      <Narrow>
        <Choice label={say('sites.part.role')} options={SIGNS} {...asChoice(bind('cut'), 'cut', 'add')} />
        <Choice<ShapeKind>
          label={say('sites.part.shape')}
          value={part.kind}
          options={KINDS}
          onChange={(kind) => onChange(asKind(part, kind), 'kind')}
        />
        <Choice<MeasuredBy> label={say('sites.part.measured')} options={BY} {...bind('by')} />
        <Choice<LengthUnit> label={say('sites.part.unit')} options={LENGTH_CHOICES} {...bind('unit')} />
        {part.by === 'estimate' && (
          <LabelledField label={say('sites.part.band')} placeholder="20 %" {...field('within')} />
        )}
      </Narrow>
    </>
  );
}

/** The lengths of a part and how they were found. */
export function PartFields({ part, isPlaced, errorAt, onChange }: Props) {
  return (
    <Box display="grid" gap="10px" padding="8px 8px 16px">
      {part.kind === 'boundary' ? (
        <BoundaryFields {...fieldsOfPart(part, onChange, errorAt)} />
      ) : (
        <ShapeFields part={part} onChange={onChange} {...fieldsOfPart(part, onChange, errorAt)} />
      )}
      {isPlaced && (
        <PlacingFields
          unit={part.unit}
          at={part.at}
          {...fieldsOfPart(part.at, (at) => onChange({ ...part, at }, 'at'), errorAt)}
        />
      )}
    </Box>
  );
}
