import { Box, chakra } from '@chakra-ui/react';
import type { Join, Term, Working } from '@steady-scatter/core/working';
import type { ReactNode } from 'react';
import { speak } from '@steady-scatter/words/common';
import { ResultTerm, type ShowIn } from './ResultTerm.tsx';

interface Props {
  working: Working;
  /** What stands in place of a term: its editor, by the term's role. */
  editors?: Readonly<Record<string, ReactNode>>;
  /** How worked-out terms can be shown, by role. */
  showIn?: Readonly<Record<string, ShowIn>>;
  /** What each worked-out term is called, by role. */
  names?: Readonly<Record<string, string>>;
  size?: 'large' | 'plain';
}

/** Parts that stay together when the line breaks: an operator or word with the terms after it. */
function groupsOf({ parts }: Working): (Term | Join)[][] {
  const groups: (Term | Join)[][] = [];
  for (const part of parts) {
    if (part.type === 'term' && groups.length > 0) groups.at(-1)?.push(part);
    else groups.push([part]);
  }
  return groups;
}

function Part({ part, ...props }: { part: Term | Join } & Props) {
  if (part.type !== 'term') {
    return (
      <chakra.span color="ink.soft" paddingX={part.type === 'operator' ? '2px' : 0}>
        {speak(part.text)}
      </chakra.span>
    );
  }
  const { editors = {}, showIn = {}, names = {}, working } = props;
  const label = names[part.role] ?? speak(working.label);
  return (
    <chakra.span maxWidth="100%" minWidth={0}>
      {editors[part.role] ?? <ResultTerm term={part} label={label} showIn={showIn[part.role]} />}
    </chakra.span>
  );
}

const ROW = {
  display: 'flex',
  alignItems: 'baseline',
  columnGap: { base: '6px', md: '7px' },
  rowGap: '2px',
} as const;

/** Draws a line of working: the signature of every answer. It computes nothing. */
export function WorkingLine(props: Props) {
  const { working, size = 'large' } = props;
  const fontSize = size === 'large' ? { base: '20px', md: '22px' } : '17px';
  return (
    <Box
      role="group"
      aria-label={speak(working.label)}
      {...ROW}
      flexWrap="wrap"
      fontSize={fontSize}
      fontWeight="medium"
    >
      {groupsOf(working).map((group, at) => (
        // oxlint-disable-next-line react/no-array-index-key -- the place in the line is the part's identity
        <Box key={at} {...ROW} maxWidth="100%">
          {group.map((part, index) => (
            // oxlint-disable-next-line react/no-array-index-key -- as above
            <Part key={index} {...props} part={part} />
          ))}
        </Box>
      ))}
    </Box>
  );
}
