import { Box, Button } from '@chakra-ui/react';
import { dayOfRow, evaluateLook, RATINGS, type DoneRow, type LookSeen } from '@steady-scatter/core/season';
import { useState } from 'react';
import { say } from '@steady-scatter/words/looks';
import { appendLook, lookAt } from '../kinds/useLooks.ts';
import { WhoField } from '../people/WhoField.tsx';
import { Photos } from '../photos/Photo.tsx';
import { PhotoField } from '../photos/PhotoField.tsx';
import { dayText } from '../ui/dayText.ts';
import { NotesField } from '../ui/formParts.tsx';
import { Panel } from '../ui/Panel.tsx';
import { keepWho, whoWorks } from '../ui/who.ts';

/** Photos of before: of the work, and of earlier looks. */
function Earlier({ row, seen }: { row: DoneRow; seen: readonly LookSeen[] }) {
  const { photos } = row.input;
  const own = seen.filter(({ input }) => input.application === row.root && input.photos.length > 0);
  return (
    <>
      {photos.length > 0 && <Box fontSize="15px" color="ink.soft">{say('looks.atWork', { day: dayText(dayOfRow(row)) })}<Photos ids={photos} /></Box>}
      {own.map(({ id, input }) => <Box key={id} fontSize="15px" color="ink.soft" marginTop="8px">{dayText(input.onDay)}<Photos ids={input.photos} /></Box>)}
    </>
  );
} // prettier-ignore

/** A look weeks after: how it looks, a photo beside the earlier one, a note. */
export function LookPanel({ row, seen, onClose }: { row: DoneRow; seen: readonly LookSeen[]; onClose(): void }) {
  const [input, setInput] = useState(() => lookAt(row, whoWorks()));
  const [tried, setTried] = useState(false);
  const set = (more: Partial<typeof input>) => setInput({ ...input, ...more });
  const { errors } = evaluateLook(input);
  const save = () => {
    setTried(true);
    if (errors.length > 0) return;
    keepWho(input.by);
    appendLook(row, input);
    onClose();
  };
  return (
    <Panel title={say('looks.title', { area: input.areaName, product: input.productName })} size="lg" onClose={onClose} footer={<Button variant="solid" minHeight="56px" onClick={save}>{say('looks.save')}</Button>}>
      <Box display="grid" gap="14px">
        <Earlier row={row} seen={seen} />
        <Box role="group" aria-label={say('looks.rating')}>
          <Box fontSize="15px" fontWeight="semibold" color="ink.soft">{say('looks.rating')}</Box>
          <Box display="flex" flexWrap="wrap" gap="8px">
            {RATINGS.map((rating) => (
              <Button key={rating} minHeight="56px" minWidth="56px" aria-pressed={input.rating === rating} variant={input.rating === rating ? 'solid' : 'outline'} onClick={() => set({ rating })}>
                {say('looks.rating.is', { rating })}
              </Button>
            ))}
          </Box>
        </Box>
        <NotesField label={say('looks.note')} value={input.note} onChange={(note) => set({ note: note.slice(0, 400) })} />
        <PhotoField ids={input.photos} onChange={(photos) => set({ photos: [...photos] })} />
        <WhoField label={say('looks.by')} value={input.by} onChange={(by) => set({ by })} />
        {tried && errors.length > 0 && <Box role="alert" color="warn" fontWeight="semibold">{say('looks.nothing')}</Box>}
      </Box>
    </Panel>
  );
} // prettier-ignore
