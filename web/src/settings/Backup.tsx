import { Box, Button, chakra } from '@chakra-ui/react';
import { Download, Upload } from 'lucide-react';
import { useRef, useState } from 'react';
import { explain } from '../api/explain.ts';
import { useNotices } from '../notices/notices.tsx';
import { BACKUP_PATH, restoreBackup } from './restoreBackup.ts';

/** Asks once more: what is kept now gives way. */
const Sure = ({ name, isBusy, onYes, onNo }: { name: string; isBusy: boolean; onYes(): void; onNo(): void }) => (
  <Box role="alert" borderWidth="2px" borderColor="warn" borderRadius="8px" padding="12px" marginTop="10px">
    <b>{name} in place of everything that is stored now?</b>
    <Box marginTop="4px">What is stored now is set aside on the machine, not deleted. Phones have to be paired again.</Box>
    <Box display="flex" gap="10px" marginTop="10px">
      <Button variant="solid" minHeight="44px" loading={isBusy} onClick={onYes}>
        Restore it
      </Button>
      <Button minHeight="44px" disabled={isBusy} onClick={onNo}>
        Leave it
      </Button>
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
            <Download size={18} /> Save a backup
          </a>
        </Button>
        <Button minHeight="44px" onClick={() => input.current?.click()}>
          <Upload size={18} /> Restore one
        </Button>
      </Box>
      <chakra.input
        ref={input}
        type="file"
        accept=".zip"
        aria-label="Backup to restore"
        srOnly
        onChange={(event) => {
          setChosen(event.target.files?.[0] ?? null);
          // The same file can be chosen again.
          event.target.value = '';
        }}
      />
      {chosen && (
        <Sure name={chosen.name} isBusy={isBusy} onYes={() => void restore(chosen)} onNo={() => setChosen(null)} />
      )}
      <Box fontSize="15px" color="ink.soft" marginTop="8px">
        One is made by itself each day on the machine, for fourteen days. Restoring is done at the machine itself.
      </Box>
    </>
  ); // prettier-ignore
}
