import { Box, Button, chakra } from '@chakra-ui/react';
import { Download, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { say } from '@steady-scatter/words/shell';
import { explain } from '../api/explain.ts';
import { useNotices } from '../notices/notices.tsx';
import { BACKUP_PATH, restoreBackup } from './restoreBackup.ts';

/** Asks once more: what is kept now gives way. */
const ConfirmRestore = ({ name, isBusy, onYes, onNo }: { name: string; isBusy: boolean; onYes(): void; onNo(): void }) => (
  <Box role="alert" borderWidth="2px" borderColor="warn" borderRadius="8px" padding="12px" marginTop="10px">
    <b>{say('shell.restoreAsk', { name })}</b><Box marginTop="4px">{say('shell.restoreWhat')}</Box>
    <Box display="flex" gap="10px" marginTop="10px">
      <Button variant="solid" minHeight="44px" loading={isBusy} onClick={onYes}>{say('shell.restoreDo')}</Button>
      <Button minHeight="44px" disabled={isBusy} onClick={onNo}>{say('shell.restoreNot')}</Button>
    </Box>
  </Box>
); // prettier-ignore

/** Everything that is kept, out as one file and back from it. */
export function Backup() {
  const notices = useNotices();
  const input = useRef<HTMLInputElement>(null);
  const [chosen, setChosen] = useState<File | null>(null);
  const [isBusy, setBusy] = useState(false);
  async function restore(file: File) {
    setBusy(true);
    try {
      await restoreBackup(file);
      window.location.assign('/');
    } catch (error) {
      setChosen(null);
      notices.tell(explain(error));
    } finally {
      setBusy(false);
    }
  }
  return (
    <>
      <Box display="flex" gap="10px" flexWrap="wrap">
        <Button minHeight="44px" asChild>
          <a href={BACKUP_PATH} download>
            <Download size={18} />{' '}{say('shell.backupSave')}</a>
        </Button>
        <Button minHeight="44px" onClick={() => input.current?.click()}>
          <Upload size={18} />{' '}{say('shell.backupRestore')}</Button>
      </Box>
      <chakra.input
        ref={input}
        type="file"
        accept=".zip"
        aria-label={say('shell.backupFile')}
        srOnly
        onChange={(event) => {
          setChosen(event.target.files?.[0] ?? null);
          // The same file can be chosen again.
          event.target.value = '';
        }}
      />
      {chosen && (
        <ConfirmRestore name={chosen.name} isBusy={isBusy} onYes={() => void restore(chosen)} onNo={() => setChosen(null)} />
      )}
      <Box fontSize="15px" color="ink.soft" marginTop="8px">{say('shell.backupDaily')}</Box>
    </>
  ); // prettier-ignore
}
