import { Box, Button, chakra } from '@chakra-ui/react';
import { EVENTS, KINDS, type EventKind } from '@steady-scatter/contract';
import { Link } from 'react-router';
import { say } from '@steady-scatter/words/shell';
import { HOMES } from '../documents/homes.ts';
import {
  aboutDocument,
  outbox,
  useOutbox,
  type Entry,
  type RowEntry,
  type Waiting,
} from '../outbox/index.ts';
import { dayText } from '../ui/dayText.ts';
import { Panel } from '../ui/Panel.tsx';
import { saveFile } from '../ui/saveFile.ts';
import { oneOf } from '@steady-scatter/words/things';

/** The kind of what a row belongs to: what has to be there before it. */
const subjectKind = ({ event, row, needs }: RowEntry) => {
  const { subjects } = EVENTS[event] as EventKind;
  return subjects.find((kind) => needs.includes(aboutDocument(kind, row.subject))) ?? subjects[0]!;
};

/** Where somebody decides what becomes of one that was refused. */
function pageOf(entry: Entry): string {
  if (entry.what === 'photo') return '/log';
  return entry.what === 'document'
    ? `${HOMES[entry.kind].path}/${entry.documentId}`
    : `${HOMES[subjectKind(entry)].path}/${entry.row.subject}`;
}

const whatOf = (entry: Entry): string =>
  oneOf(entry.what === 'photo' ? 'photos' : entry.what === 'document' ? KINDS[entry.kind].name : entry.event);

function Act({ children, onClick }: { children: string; onClick(): void }) {
  return (
    <Button minHeight="44px" onClick={onClick}>
      {children}
    </Button>
  );
}

/** What can be done about one that was refused. */
function Acts({ entry, refusal, onClose }: Waiting & { onClose(): void }) {
  if (!refusal) return null;
  return (
    <Box display="flex" gap="10px" flexWrap="wrap" marginTop="6px">
      {refusal.code === 'changed-elsewhere' && (
        <Button asChild minHeight="44px" variant="solid">
          <Link to={pageOf(entry)} onClick={onClose}>
            {say('common.compare')}
          </Link>
        </Button>
      )}
      {refusal.code === 'other-installation' ? (
        <Act onClick={() => void outbox.adopt(entry.id)}>{say('shell.sendHere')}</Act>
      ) : (
        refusal.code !== 'changed-elsewhere' && (
          <Act onClick={() => void outbox.again(entry.id)}>{say('shell.sendAgain')}</Act>
        )
      )}
      <Act onClick={() => void outbox.drop(entry.id)}>{say('shell.deleteHere')}</Act>
    </Box>
  );
}

/** What was saved on this device and is not on the server: what waits, and what somebody has to decide on. */
export default function OutboxPanel({ onClose }: { onClose(): void }) {
  const all = useOutbox();
  const save = () => saveFile('not-on-the-server.json', 'application/json', JSON.stringify(all, null, 2));
  return (
    <Panel
      title={say('shell.waitingTitle')}
      size="lg"
      onClose={onClose}
      footer={<Button onClick={save}>{say('shell.exportJson')}</Button>}
    >
      {all.length === 0 && say('shell.allSent')}
      {all.map((waiting) => (
        <Box key={waiting.entry.id} borderTopWidth="1px" borderColor="line" paddingY="10px">
          <b>{waiting.entry.name}</b>{' '}
          <chakra.span color="ink.soft">
            {whatOf(waiting.entry)}, {dayText(waiting.entry.at.slice(0, 10))}
          </chakra.span>
          <Box color={waiting.refusal ? 'warn' : 'ink.soft'}>
            {waiting.refusal ? `▲ ${waiting.refusal.words}` : say('shell.waits')}
          </Box>
          <Acts {...waiting} onClose={onClose} />
        </Box>
      ))}
    </Panel>
  );
}
