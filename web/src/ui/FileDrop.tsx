import { Box, Button, chakra } from '@chakra-ui/react';
import { Upload } from 'lucide-react';
import { useRef, type DragEvent, type ReactNode } from 'react';
import { say } from '@steady-scatter/words/common';

interface Props {
  /** Endings that the browser offers. */
  accept: string;
  act: string;
  onFile(file: File): void;
  /** What to know before. */
  children: ReactNode;
}

/** A place to choose a file or to drop one. */
export function FileDrop({ accept, act, onFile, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const take = (files: FileList | null) => {
    const file = files?.[0];
    if (file) onFile(file);
  };
  return (
    <Box
      borderWidth="2px"
      borderStyle="dashed"
      borderColor="line.strong"
      borderRadius="10px"
      padding="22px"
      marginBottom="20px"
      maxWidth="760px"
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        take(event.dataTransfer.files);
      }}
    >
      <chakra.input
        ref={input}
        type="file"
        accept={accept}
        aria-label={say('common.fileToImport')}
        srOnly
        onChange={(event) => {
          take(event.target.files);
          // The same file, changed meanwhile, can be taken again.
          event.target.value = '';
        }}
      />
      <Button variant="solid" minHeight="48px" onClick={() => input.current?.click()}>
        <Upload size={18} /> {act}
      </Button>
      <Box marginTop="10px">{children}</Box>
    </Box>
  );
}
