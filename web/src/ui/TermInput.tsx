import { chakra } from '@chakra-ui/react';
import type { Origin } from '@steady-scatter/core/working';
import type { ComponentProps, ReactNode } from 'react';
import { nameOf } from '@steady-scatter/words/common';
import { UNDERLINE } from './origin.ts';

const Field = chakra('input', {
  base: {
    fieldSizing: 'content',
    minWidth: '2.6ch',
    maxWidth: '100%',
    minHeight: '32px',
    bg: 'transparent',
    color: 'inherit',
    font: 'inherit',
    paddingX: '3px',
    outlineOffset: '3px',
    borderRadius: '2px 2px 0 0',
    _placeholder: { color: 'ink.soft', opacity: 0.85, fontWeight: 'normal' },
    _hover: { bg: 'soft' },
    _focus: { bg: 'paper' },
    '@media (pointer: coarse)': { minHeight: '44px', paddingTop: '12px', paddingBottom: '2px' },
  },
});

export type TermInputProps = ComponentProps<typeof Field> & {
  label: string;
  origin: Origin;
  /** Id of the sentence that says what is wrong, while something is. */
  errorId?: string | undefined;
  /** Stands right after the text: the unit of a bare number, and the door to other units. */
  unit?: ReactNode;
};

/** A value of the working that is typed in place. Enter goes on to the next one. */
export function TermInput({ label, origin, errorId, unit, ...rest }: TermInputProps) {
  const wrong = errorId !== undefined;
  return (
    <chakra.span display="inline-flex" alignItems="baseline" maxWidth="100%" whiteSpace="nowrap">
      <Field
        aria-label={label}
        title={nameOf('origin', origin)}
        aria-invalid={wrong}
        aria-describedby={errorId}
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        maxLength={20_000}
        data-flow
        borderColor={wrong ? 'warn' : 'ink'}
        css={UNDERLINE[origin]}
        {...rest}
      />
      {unit}
    </chakra.span>
  );
}
