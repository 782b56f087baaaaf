import { lazyPart } from '../ui/lazyPart.ts';
import { Box } from '@chakra-ui/react';
import { Smartphone } from 'lucide-react';
import { Suspense, useState } from 'react';
import { say } from '@steady-scatter/words/bench';
import { CommandButton } from '../ui/CommandButton.tsx';

const HandOverPanel = lazyPart(() => import('./HandOverPanel.tsx'));

/** Hands what is open to a phone: a code to point its camera at. */
export function HandOver({ path }: { path: string }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box hideBelow="md">
      <CommandButton icon={Smartphone} label={say('bench.phone.open')} onClick={() => setOpen(true)} />
      {isOpen && (
        <Suspense fallback={null}>
          <HandOverPanel path={path} onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </Box>
  );
}
