import { Box, Button } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { say } from '@steady-scatter/words/shell';
import { call } from '../api/lazyCall.ts';
import { queries } from '../api/queries.ts';
import { explain } from '../api/explain.ts';
import { dayText } from '../ui/dayText.ts';
import { useNotices } from '../notices/notices.tsx';

/** Phones that were paired; each can be forgotten. */
export function Devices() {
  const { data: devices = [] } = useQuery(
    { queryKey: ['devices'], queryFn: ({ signal }) => call('listDevices', { signal }) },
    queries,
  );
  const notices = useNotices();
  if (devices.length === 0) return <Box fontSize="15px">{say('shell.noPhones')}</Box>;
  async function forget(id: string) {
    try {
      await call('forgetDevice', { params: { id } });
      await queries.invalidateQueries({ queryKey: ['devices'] });
    } catch (error) {
      notices.tell(explain(error));
    }
  }
  return devices.map(({ id, name, since }) => (
    <Box key={id} display="flex" gap="10px" alignItems="center" justifyContent="space-between" minHeight="44px">
      <span>{say('shell.phoneSince', { name, day: dayText(since.slice(0, 10)) })}</span><Button size="sm" minHeight="44px" onClick={() => void forget(id)}>{say('shell.forgetPhone')}</Button>
    </Box>
  )); // prettier-ignore
}
