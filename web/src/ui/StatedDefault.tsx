import { Box, Button } from '@chakra-ui/react';
import { useId, useState, type ReactNode } from 'react';

interface Props {
  /** What it is about: "pass spacing". */
  name: string;
  /** What is taken, and where from: "Passes 9 ft apart, from the tray test of 10 Apr". */
  text: string;
  picture?: ReactNode;
  /** Something is wrong with it: it is shown open. */
  isWrong?: boolean;
  children: ReactNode;
}

/** What is assumed, in a line, and its fields one press away. */
export function StatedDefault({ name, text, picture, isWrong = false, children }: Props) {
  const [wanted, setOpen] = useState(false);
  const isOpen = wanted || isWrong;
  const id = useId();
  return (
    <Box borderBottomWidth="1px" borderColor="line" paddingY="4px">
      <Box display="flex" alignItems="center" justifyContent="space-between" gap="14px">
        <Box
          fontSize="17px"
          minWidth={0}
          overflowWrap="anywhere"
          display="flex"
          gap="14px"
          alignItems="center"
        >
          {picture}
          {text}
        </Box>
        <Button
          variant="ghost"
          flex="0 0 auto"
          minHeight={{ base: '56px', md: '44px' }}
          aria-expanded={isOpen}
          aria-controls={id}
          aria-label={isOpen ? `Done with ${name}` : `Change ${name}`}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? 'done' : 'change'}
        </Button>
      </Box>
      {isOpen && (
        <Box
          id={id}
          display="grid"
          gap="10px 14px"
          gridTemplateColumns="repeat(auto-fill, minmax(170px, 1fr))"
          alignItems="start"
          paddingBottom="10px"
        >
          {children}
        </Box>
      )}
    </Box>
  );
}
