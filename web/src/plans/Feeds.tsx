import { Box, Button } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { say } from '@steady-scatter/words/plans';
import { call } from '../api/lazyCall.ts';
import { explain } from '../api/explain.ts';
import { queries } from '../api/queries.ts';
import { useHere } from '../api/useHere.ts';
import { useNotices } from '../notices/notices.tsx';
import { copyText } from '../ui/copyText.ts';
import { dayText } from '../ui/dayText.ts';
import { LabelledField } from '../ui/LabelledField.tsx';
import { dayOf } from '../ui/today.ts';

const KEY = ['feeds'];
const shownDay = (at: string): string => dayText(dayOf(new Date(at)));

/** Secret addresses by which calendars follow the plans: made, shown once, taken back. */
export function Feeds() {
  const { data: feeds = [] } = useQuery({ queryKey: KEY, queryFn: ({ signal }) => call('listFeeds', { signal }) }, queries); // prettier-ignore
  const [name, setName] = useState('');
  const [made, setMade] = useState<string | null>(null);
  const notices = useNotices();
  const here = useHere();
  const origin = here.data?.publicUrl ?? window.location.origin;
  const refresh = () => queries.invalidateQueries({ queryKey: KEY });
  const tried = async (act: () => Promise<void>) => {
    try {
      await act();
      await refresh();
    } catch (failure) {
      notices.tell(explain(failure));
    }
  };
  const add = () =>
    tried(async () => {
      const { path } = await call('addFeed', { body: { name } });
      setMade(new URL(path, origin).href);
      setName('');
    });
  const revoke = (id: string, of: string) =>
    tried(async () => {
      await call('revokeFeed', { params: { id } });
      notices.tell(say('plans.feed.revoked', { name: of }));
    });
  return (
    <Box maxWidth="640px" fontSize="16px">
      <Box color="ink.soft">{say('plans.feed.what')}</Box>
      <Box display="flex" gap="10px" alignItems="flex-end" marginTop="6px">
        <Box flex="1"><LabelledField label={say('plans.feed.name')} value={name} onChange={setName} maxLength={120} /></Box>
        <Button minHeight="touch" disabled={name.trim() === ''} onClick={() => void add()}>{say('plans.feed.add')}</Button>
      </Box>
      {made !== null && (
        <Box role="status" marginTop="8px">
          {say('plans.feed.once')}
          <Box display="flex" gap="10px" alignItems="center">
            <Box as="code" overflowWrap="anywhere" fontSize="15px">{made}</Box>
            <Button minHeight="44px" onClick={() => void copyText(made).then(() => notices.tell(say('plans.feed.copied')))}>{say('plans.feed.copy')}</Button>
          </Box>
        </Box>
      )}
      <Box as="ul" listStyleType="none" marginTop="6px">
        {feeds.map(({ id, name: of, since, readAt }) => (
          <Box as="li" key={id} display="flex" justifyContent="space-between" gap="10px" alignItems="center">
            <span>{say('plans.feed.line', { name: of, day: shownDay(since), read: readAt === null ? 'none' : shownDay(readAt) })}</span>
            <Button variant="ghost" minHeight="44px" aria-label={say('plans.feed.revokeNamed', { name: of })} onClick={() => void revoke(id, of)}>{say('plans.feed.revoke')}</Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
} // prettier-ignore
