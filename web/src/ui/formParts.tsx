import { Box, chakra } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';
import { fieldBox } from './fieldBox.ts';

/** Fields of a form side by side, as many as fit. */
export const Fields = ({ children }: { children: ReactNode }) => (
  <Box
    display="grid"
    gap="14px"
    gridTemplateColumns={{ base: '1fr', md: 'repeat(auto-fill, minmax(250px, 1fr))' }}
    alignItems="start"
  >
    {children}
  </Box>
);

const Notes = chakra('textarea', {
  base: {
    ...fieldBox,
    display: 'block',
    width: '100%',
    minHeight: '72px',
    paddingY: '8px',
    fontWeight: 'normal',
  },
});

type NotesProps = { label: string; value: string; onChange(text: string): void };

/** A longer text in a form. */
export const NotesField = memo(function NotesFieldOf({ label, value, onChange }: NotesProps) {
  return (
    <chakra.label display="block" marginTop="14px" fontSize="15px" fontWeight="semibold" color="ink.soft">
      {label}
      <Notes value={value} maxLength={4000} onChange={(event) => onChange(event.target.value)} />
    </chakra.label>
  );
});
