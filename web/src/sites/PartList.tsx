import { Box, chakra, IconButton } from '@chakra-ui/react';
import {
  MISSING,
  partText,
  showSize,
  type InputError,
  type PartTyped,
  type SiteAreaReading,
  type SiteAreaTyped,
} from '@steady-scatter/core';
import { Minus, Plus, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { FieldErrors } from '../ui/FieldErrors.tsx';
import { PartFields } from './PartFields.tsx';
import type { PartActs } from './usePartActs.ts';

const Row = chakra('button', {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '10px',
    flex: 1,
    minWidth: 0,
    minHeight: { base: '56px', md: '42px' },
    paddingX: '8px',
    borderRadius: '6px',
    cursor: 'pointer',
    textAlign: 'left',
    fontSize: '17px',
    _hover: { bg: 'soft' },
    '&[aria-expanded=true]': { bg: 'soft', fontWeight: 'semibold' },
  },
});

interface LineProps {
  part: PartTyped;
  size: string;
  isOpen: boolean;
  onToggle(id: string | null): void;
  onRemove(id: string): void;
}

/** A part as one line: what it is and how big; a drag of one part leaves the others as they are. */
const PartLine = memo(
  function PartLine({ part, size, isOpen, onToggle, onRemove }: LineProps) {
    const Sign = part.cut ? Minus : Plus;
    const text = partText(part);
    return (
      <Box display="flex" alignItems="center">
        <Row type="button" aria-expanded={isOpen} onClick={() => onToggle(isOpen ? null : part.id)}>
          <Sign size={16} aria-label={part.cut ? 'cut out' : 'added'} />
          <chakra.span flex={1} overflowWrap="anywhere">
            {text}
          </chakra.span>
          <chakra.span fontVariantNumeric="tabular-nums" color="ink.soft" whiteSpace="nowrap">
            {size}
          </chakra.span>
        </Row>
        <IconButton
          aria-label={`Remove ${text}`}
          variant="ghost"
          color="ink.soft"
          minWidth="44px"
          minHeight="44px"
          onClick={() => onRemove(part.id)}
        >
          <Trash2 size={18} />
        </IconButton>
      </Box>
    );
  },
  (a, b) => a.part === b.part && a.size === b.size && a.isOpen === b.isOpen,
);

interface Props {
  area: SiteAreaTyped;
  reading: SiteAreaReading;
  chosen: string | null;
  errorAt(path: string): InputError | undefined;
  acts: PartActs;
  onChoose(id: string | null): void;
}

/** The parts of an area, one line each; the chosen one shows its lengths. */
export function PartList({ area, reading, chosen, errorAt, acts, onChoose }: Props) {
  const sizeOf = (at: number): string => {
    const areaM2 = reading.measured.parts[at]?.areaM2 ?? null;
    if (areaM2 === null) return MISSING;
    const { number, unit } = showSize(areaM2, 0, area.shownIn);
    return `${number} ${unit}`;
  };
  return (
    <Box as="ul" listStyleType="none" aria-label="Parts">
      {area.parts.map((part, at) => (
        <Box as="li" key={part.id} borderBottomWidth="1px" borderColor="line">
          <PartLine
            part={part}
            size={sizeOf(at)}
            isOpen={part.id === chosen}
            onToggle={onChoose}
            onRemove={acts.remove}
          />
          {part.id === chosen && (
            <PartFields
              part={part}
              isPlaced={area.hold === 'placed'}
              errorAt={(path) => errorAt(`parts.${at}.${path}`)}
              onChange={acts.set}
            />
          )}
          <FieldErrors error={errorAt(`parts.${at}`)} typed="" />
        </Box>
      ))}
    </Box>
  );
}
