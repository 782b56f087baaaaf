import { lazyPart } from '../ui/lazyPart.ts';
import { IconButton, chakra } from '@chakra-ui/react';
import { toResult } from '@steady-scatter/core/errors';
import { lengthUnitFor, readSize, retypeSize } from '@steady-scatter/core/fields';
import type { AreaUnit } from '@steady-scatter/core/quantities';
import { X } from 'lucide-react';
import { memo, Suspense } from 'react';
import { useWatch } from 'react-hook-form';
import { say } from '@steady-scatter/words/sheet';
import { SheetError } from '../sheet/SheetError.tsx';
import { useSheet, useSheetForm } from '../sheet/sheet.tsx';
import { TypedTerm } from '../sheet/TypedTerm.tsx';
import { needsUnit, symbolOf } from '../units/units.ts';
import { ResultTerm, type ShowIn } from '../ui/ResultTerm.tsx';
import { termOf } from '../ui/termShown.ts';
import { UnitPicker } from '../ui/UnitPicker.tsx';
import { AREA_CHOICES } from '../units/areas.ts';

const SiteNote = lazyPart(() => import('./SiteNote.tsx'));

/** Columns of the list of areas, shared by its heading, rows and foot. */
const WIDE = '1.1fr 1.5fr 130px 130px 36px';
export const COLUMNS = { base: '1fr auto 44px', md: WIDE, _print: WIDE };
const AUTO = { md: 'auto', _print: 'auto' };
/** Where each cell stands: on a phone the name and its button over the size and the amount. */
const CELLS = {
  name: { gridRow: { base: 1, ...AUTO }, gridColumn: { base: '1 / 3', ...AUTO } },
  measured: { gridRow: { base: 2, ...AUTO }, gridColumn: { base: '1 / 2', ...AUTO } },
  amount: { textAlign: 'right', gridRow: { base: 2, ...AUTO }, gridColumn: { base: '2 / 4', ...AUTO } },
  remove: { textAlign: 'right', gridRow: { base: 1, ...AUTO }, gridColumn: { base: 3, ...AUTO } },
} as const;

const NameInput = chakra('input', {
  base: {
    width: '100%',
    minHeight: '36px',
    bg: 'transparent',
    font: 'inherit',
    borderRadius: '4px',
    paddingX: '6px',
    marginLeft: '-6px',
    _placeholder: { color: 'ink.soft', opacity: 0.85 },
    _hover: { bg: 'soft' },
    _focus: { bg: 'paper' },
    '@media (pointer: coarse)': { minHeight: '44px' },
  },
});

const SizeTerm = memo(function SizeTermOf({ index, position }: { index: number; position: string }) {
  const form = useSheetForm();
  const area = `worksheet.areas.${index}` as const;
  const { size, unit, from } = useWatch({ control: form.control, name: area });
  const reading = toResult(() => readSize(size, unit, '')).value;
  const isSides = reading?.shape.kind === 'rectangle' || /[x×*]/i.test(size);
  return (
    <TypedTerm
      name={`${area}.size`}
      label={say('sheet.area.measured', { position })}
      placeholder={say('sheet.area.sizeHint')}
      origin={isSides || from ? 'measured' : 'typed'}
      onTyped={() => {
        // A size that was typed over is no longer that of the site.
        if (from) form.setValue(`${area}.from`, undefined, { shouldDirty: true });
      }}
      unit={
        <UnitPicker<AreaUnit>
          label={say('sheet.area.unitOf', { position })}
          current={reading?.unit ?? unit}
          shown={needsUnit(size) ? symbolOf(isSides ? lengthUnitFor(unit) : unit) : ''}
          options={AREA_CHOICES.map((id) => ({
            id,
            symbol: symbolOf(id),
            preview: reading && ((change) => retypeSize(reading, id, change)),
          }))}
          onPick={(id, change) => {
            form.setValue(`${area}.unit`, id, { shouldDirty: true });
            if (reading)
              form.setValue(`${area}.size`, retypeSize(reading, id, change), { shouldDirty: true });
          }}
        />
      }
    />
  );
});

/** What an area is called. */
const NameField = memo(function NameFieldOf({ index }: { index: number }) {
  const form = useSheetForm();
  return (
    <NameInput
      {...form.register(`worksheet.areas.${index}.name`)}
      aria-label={say('sheet.area.nameOf', { number: index + 1 })}
      placeholder={say('sheet.area.nameHint')}
      maxLength={120}
      autoComplete="off"
      data-flow
    />
  );
});

interface RemoveProps {
  index: number;
  position: string;
  onRemove(index: number): void;
}

const RemoveArea = memo(function RemoveAreaOf({ index, position, onRemove }: RemoveProps) {
  return (
    <IconButton
      aria-label={say('sheet.area.remove', { position })}
      variant="ghost"
      size="sm"
      color="ink.soft"
      onClick={() => onRemove(index)}
    >
      <X size={18} />
    </IconButton>
  );
});

const Row = chakra('div', {
  base: {
    borderBottomWidth: '1px',
    borderColor: 'line',
    paddingY: { base: '8px', md: '5px' },
    fontSize: '17px',
    '& > [data-cells]': {
      display: 'grid',
      gridTemplateColumns: COLUMNS,
      columnGap: '12px',
      alignItems: 'center',
      '& > *': { minWidth: 0 },
    },
    '& [data-cell=name]': CELLS.name,
    '& [data-cell=measured]': CELLS.measured,
    '& [data-cell=size]': { textAlign: 'right', hideBelow: 'md' },
    '& [data-cell=amount]': CELLS.amount,
    '& [data-cell=remove]': CELLS.remove,
    '& > [data-notes]:empty': { display: 'none' },
  },
});

interface Props {
  index: number;
  showIn: { area: ShowIn; amount: ShowIn };
  onRemove(index: number): void;
}

/** One piece of ground: its name, its size as typed, and what it takes. What of it is as before is not drawn anew. */
export function AreaRow({ index, onRemove, showIn }: Props) {
  const form = useSheetForm();
  const { name, from } = useWatch({ control: form.control, name: `worksheet.areas.${index}` });
  const { answer } = useSheet();
  const line = answer.lines.areas[index];
  const position = name.trim() || say('sheet.area.number', { number: index + 1 });
  const result = (role: string, label: string, show: ShowIn) =>
    line && (
      <ResultTerm
        term={termOf(line, role)}
        label={say('sheet.area.valueOf', { label, position })}
        showIn={show}
      />
    );
  return (
    <Row role="row">
      <div data-cells>
        <div role="cell" data-cell="name">
          <NameField index={index} />
        </div>
        <div role="cell" data-cell="measured">
          <SizeTerm index={index} position={position} />
        </div>
        <div role="cell" data-cell="size">
          {result('area.size', say('sheet.area.size'), showIn.area)}
        </div>
        <div role="cell" data-cell="amount">
          {result('area.amount', say('sheet.area.amount'), showIn.amount)}
        </div>
        <div role="cell" data-cell="remove" data-noprint>
          <RemoveArea index={index} position={position} onRemove={onRemove} />
        </div>
      </div>
      <div role="cell" data-notes>
        {from && (
          <Suspense fallback={null}>
            <SiteNote index={index} from={from} />
          </Suspense>
        )}
        <SheetError name={`worksheet.areas.${index}.size`} />
      </div>
    </Row>
  );
}
