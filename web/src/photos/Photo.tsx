import { Box, Button, chakra } from '@chakra-ui/react';
import { photoPath } from '@steady-scatter/contract';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { say } from '@steady-scatter/words/photos';
import { explain } from '../api/explain.ts';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { useNotices } from '../notices/notices.tsx';
import { useWaiting } from '../outbox/index.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { Panel } from '../ui/Panel.tsx';
import { aboutPhoto } from './photos.ts';

const Picture = chakra('img', {
  base: { width: '100%', height: '100%', objectFit: 'cover', borderRadius: '8px' },
});
const Frame = chakra('button', { base: { width: '132px', height: '99px', borderRadius: '8px', bg: 'soft', cursor: 'pointer', overflow: 'hidden' } }); // prettier-ignore

/** Where the picture is: on this device while it waits, else on the server. */
function useAddress(id: string): string {
  const entry = useWaiting(aboutPhoto(id))?.entry;
  const held = useMemo(() => (entry?.what === 'photo' ? URL.createObjectURL(entry.picture) : null), [entry]);
  useEffect(() => (held ? () => URL.revokeObjectURL(held) : undefined), [held]);
  return held ?? photoPath(id);
}

/** What is known of a photo whose picture does not come. */
function Gone({ id }: { id: string }) {
  const { data } = useQuery({ queryKey: ['photo', id], queryFn: () => call('photo', { params: { id } }), retry: false }, queries); // prettier-ignore
  return (
    <Box fontSize="14px" color="ink.soft" maxWidth="220px">
      {data?.removedAt ? say('photos.removed', { why: data.removedWhy, hash: data.sha256.slice(0, 12) }) : say('photos.notHere')}
    </Box>
  ); // prettier-ignore
}

/** A photo in full, where the lead may remove it. */
function Whole({ id, address, onClose }: { id: string; address: string; onClose(): void }) {
  const [why, setWhy] = useState('');
  const notices = useNotices();
  const remove = async () => {
    try {
      await call('removePhoto', { params: { id }, body: { why } });
      await queries.invalidateQueries({ queryKey: ['photo', id] });
      onClose();
    } catch (error) {
      notices.tell(explain(error));
    }
  };
  return (
    <Panel title={say('photos.one')} size="lg" onClose={onClose}>
      <Picture src={address} alt={say('photos.alt')} height="auto" />
      <Box display="flex" flexWrap="wrap" gap="10px" alignItems="end" marginTop="14px">
        <Box flex="1 1 220px"><LabelledField label={say('photos.why')} value={why} onChange={setWhy} /></Box>
        <Button minHeight="touch" disabled={why.trim() === ''} onClick={() => void remove()}>{say('photos.remove')}</Button>
      </Box>
    </Panel>
  ); // prettier-ignore
}

/** A photo, small; in full when it is pressed. */
export function Photo({ id }: { id: string }) {
  const address = useAddress(id);
  const [isOpen, setOpen] = useState(false);
  const [failed, setFailed] = useState('');
  if (failed === address) return <Gone id={id} />;
  return (
    <>
      <Frame type="button" aria-label={say('photos.open')} onClick={() => setOpen(true)}>
        <Picture src={address} alt={say('photos.alt')} loading="lazy" onError={() => setFailed(address)} />
      </Frame>
      {isOpen && (
        <Whole
          id={id}
          address={address}
          onClose={() => {
            setOpen(false);
          }}
        />
      )}
    </>
  );
}

/** Several side by side. */
export const Photos = ({ ids }: { ids: readonly string[] }) =>
  ids.length === 0 ? null : (
    <Box display="flex" flexWrap="wrap" gap="8px" marginTop="6px">
      {ids.map((id) => (
        <Photo key={id} id={id} />
      ))}
    </Box>
  );
