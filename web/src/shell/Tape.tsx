import { Box, chakra } from '@chakra-ui/react';
import { memo } from 'react';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/shell';

/** One stop on the tape: where it leads, what it holds or still lacks. */
export interface Stop {
  readonly id: string;
  readonly label: string;
  readonly holds: string;
  readonly lacks: boolean;
  /** Its address: a part of the sheet (`#ground`) or a page of its own. */
  readonly to: string;
}

/**
 * Brings a part of the sheet into sight and puts the focus on its first field.
 *
 * @returns false where that part is not shown
 */
export function goToPart(id: string): boolean {
  const section = document.getElementById(id);
  section?.scrollIntoView({ block: 'nearest' });
  section?.querySelector<HTMLElement>('input, button')?.focus();
  return section !== null;
}

const StopLink = chakra(Link, {
  base: {
    position: 'relative',
    flex: { base: '1 0 22%', sm: '1 0 auto', md: '1 1 0' },
    minWidth: 0,
    maxWidth: { md: '210px' },
    minHeight: '56px',
    padding: { base: '14px 6px 6px', md: '14px 12px 8px 14px' },
    fontSize: '14px',
    lineHeight: 1.25,
    textAlign: { base: 'center', md: 'left' },
    borderRight: '2px solid',
    borderColor: 'tape.ink',
    outlineOffset: '-4px',
    '&:hover:not([aria-current])': { bg: 'rgba(0, 0, 0, 0.08)' },
    '&[aria-current]': { bg: 'tape.ink', color: 'tape' },
  },
});

interface Props {
  stops: readonly Stop[];
  current: string;
  /** What each address is given: which sheet it is, where that is not saved yet. */
  state?: unknown;
  /** Goes to a part of the sheet, where that is shown already. */
  onPart(id: string): void;
}

/** A job as a measuring tape, with its stops in the order of the work. Nothing forces the order. */
export const Tape = memo(function TapeOf({ stops, current, state, onPart }: Props) {
  return (
    <Box
      as="nav"
      aria-label={say('shell.stops')}
      data-noprint
      bg="tape"
      color="tape.ink"
      borderBottom="2px solid"
      borderColor="rgba(0, 0, 0, 0.36)"
      backgroundImage="repeating-linear-gradient(90deg, rgb(0 0 0 / 0.55) 0 1px, transparent 1px 12px)"
      backgroundSize="100% 8px"
      backgroundRepeat="no-repeat"
      display="flex"
      flexWrap={{ base: 'wrap', md: 'nowrap' }}
    >
      {stops.map(({ id, label, holds, lacks, to }) => (
        <StopLink
          key={id}
          to={to}
          state={state}
          aria-current={id === current ? 'step' : undefined}
          onClick={() => onPart(id)}
        >
          <chakra.b display="block" fontSize={{ base: '14px', md: '16px' }}>
            {label}
          </chakra.b>
          <chakra.span hideFrom="md" display="block" fontSize="12px" lineHeight="1" aria-hidden>
            {lacks ? '○' : '●'}
          </chakra.span>
          <chakra.span
            display="block"
            overflow="hidden"
            textOverflow="ellipsis"
            whiteSpace="nowrap"
            fontStyle={lacks ? 'italic' : 'normal'}
            css={{ '@media (max-width: 767px)': { srOnly: true } }}
          >
            {holds}
          </chakra.span>
        </StopLink>
      ))}
    </Box>
  );
});
