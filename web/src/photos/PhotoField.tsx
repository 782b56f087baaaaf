import { Box, chakra } from '@chakra-ui/react';
import { Camera } from 'lucide-react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/photos';
import { Photos } from './Photo.tsx';
import { takePhoto } from './photos.ts';
import { NotAPicture } from './shrunk.ts';

const Take = chakra('label', {
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    gap: '8px',
    minHeight: '56px',
    paddingX: '16px',
    borderRadius: '8px',
    borderWidth: '1px',
    borderColor: 'line',
    fontWeight: 'semibold',
    cursor: 'pointer',
    '&:has(:focus-visible)': { outline: '3px solid', outlineColor: 'water' },
    '& > input': { srOnly: true },
  },
});

interface Props {
  ids: readonly string[];
  onChange(ids: readonly string[]): void;
}

/** Photos of the work: by the camera of the phone, or from its files; on this device at once. */
export function PhotoField({ ids, onChange }: Props) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (files: FileList | null) => {
    setTrouble(null);
    const taken: string[] = [];
    for (const file of files ?? []) {
      try {
        // oxlint-disable-next-line no-await-in-loop -- one after the other: each is drawn in full once
        taken.push(await takePhoto(file));
      } catch (error) {
        if (!(error instanceof NotAPicture)) throw error;
        setTrouble(say('photos.none', { name: file.name }));
      }
    }
    if (taken.length > 0) onChange([...ids, ...taken]);
  };
  return (
    <Box>
      <Take>
        <Camera size={20} aria-hidden />
        {say('photos.take')}
        <input type="file" accept="image/jpeg,image/png,image/webp" capture="environment" multiple onChange={(event) => void take(event.target.files)} />
      </Take>
      {trouble && <Box role="alert" color="warn" fontWeight="semibold">{trouble}</Box>}
      <Photos ids={ids} />
    </Box>
  ); // prettier-ignore
}
