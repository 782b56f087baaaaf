import { Box, chakra, IconButton } from '@chakra-ui/react';
import type { InputError } from '@steady-scatter/core/errors';
import {
  partName,
  showSize,
  type PartInput,
  type SiteAreaResult,
  type SiteAreaInput,
} from '@steady-scatter/core/ground';
import { MISSING } from '@steady-scatter/core/working';
import { Minus, Plus, Trash2 } from 'lucide-react';
import { memo } from 'react';
import { say, speak } from '@steady-scatter/words/sites';
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

interface RowProps {
  part: PartInput;
  at: number;
  size: string;
  isOpen: boolean;
  isPlaced: boolean;
  errorAt(path: string): InputError | undefined;
  acts: PartActs;
  onChoose(id: string | null): void;
}

/** A part as one line, what it is and how big; open, with its lengths. A drag of one part leaves the others as they are. */
const PartRow = memo(function PartRow({
  part,
  at,
  size,
  isOpen,
  isPlaced,
  errorAt,
  acts,
  onChoose,
}: RowProps) {
  const Sign = part.cut ? Minus : Plus;
  const text = speak(partName(part));
  return (
    <Box as="li" borderBottomWidth="1px" borderColor="line">
      <Box display="flex" alignItems="center">
        <Row type="button" aria-expanded={isOpen} onClick={() => onChoose(isOpen ? null : part.id)}>
          <Sign size={16} aria-label={part.cut ? say('sites.part.cutOut') : say('sites.part.added')} />
          <chakra.span flex={1} overflowWrap="anywhere">
            {text}
          </chakra.span>
          <chakra.span fontVariantNumeric="tabular-nums" color="ink.soft" whiteSpace="nowrap">
            {size}
          </chakra.span>
        </Row>
        <IconButton
          aria-label={say('sites.part.remove', { part: text })}
          variant="ghost"
          color="ink.soft"
          minWidth="44px"
          minHeight="44px"
          onClick={() => acts.remove(part.id)}
        >
          <Trash2 size={18} />
        </IconButton>
      </Box>
      {isOpen && (
        <PartFields
          part={part}
          isPlaced={isPlaced}
          errorAt={(path) => errorAt(`parts.${at}.${path}`)}
          onChange={acts.set}
        />
      )}
      <FieldErrors error={errorAt(`parts.${at}`)} input="" />
    </Box>
  );
});

interface Props {
  area: SiteAreaInput;
  reading: SiteAreaResult;
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
    <Box as="ul" listStyleType="none" aria-label={say('sites.part.list')}>
      {area.parts.map((part, index) => (
        <PartRow
          key={part.id}
          part={part}
          at={index}
          size={sizeOf(index)}
          isOpen={part.id === chosen}
          isPlaced={area.layoutMode === 'placed'}
          errorAt={errorAt}
          acts={acts}
          onChoose={onChoose}
        />
      ))}
    </Box>
  );
}
