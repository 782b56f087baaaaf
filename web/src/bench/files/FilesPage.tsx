import { Box, Button, chakra } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { useState } from 'react';
import { say } from '@steady-scatter/words/bench';
import { errorText } from '../../ui/errorText.ts';
import { explain } from '../../api/explain.ts';
import { loadPart } from '../../api/lazyCall.ts';
import { FileDrop } from '../../ui/FileDrop.tsx';
import { useNotices } from '../../notices/notices.tsx';
import { saveFile } from '../../ui/saveFile.ts';
import { Section } from '../../ui/Section.tsx';
import { today } from '../../ui/today.ts';
import { TopBar } from '../../ui/TopBar.tsx';
import { readBenchShelf } from '../calibrationContext.ts';
import { BenchTabs } from '../../shell/BenchTabs.tsx';
import type { TestsToTake } from './testsFile.ts';
import { takeTests } from './takeTests.ts';

const MAX_BYTES = 8_000_000;
const files = () => loadPart(() => import('./testsFile.ts'));

/** Tests as files: all of them out, looked through before any is taken in. */
export default function FilesPage() {
  const notices = useNotices();
  const [found, setFound] = useState<TestsToTake | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  async function save(kind: 'json' | 'csv') {
    try {
      const [{ testsJson, testsCsv }, shelf] = await Promise.all([files(), readBenchShelf()]);
      if (kind === 'json') saveFile(`tests-${today()}.json`, 'application/json', testsJson(shelf));
      else saveFile(`tests-${today()}.csv`, 'text/csv;charset=utf-8', '\ufeff', testsCsv(shelf));
    } catch (error) {
      notices.tell(say('bench.files.notSaved', { explain: explain(error) }));
    }
  }
  async function look(file: File) {
    setFound(null);
    setTrouble(null);
    try {
      if (file.size > MAX_BYTES)
        throw new Error('The file has more than 8 MB, which is more than tests ever take.');
      const [{ readTestsText }, shelf] = await Promise.all([files(), readBenchShelf()]);
      setFound(readTestsText(await file.text(), file.name, shelf));
    } catch (error) {
      setTrouble(errorText(error));
    }
  }
  async function take(wanted: TestsToTake) {
    try {
      const undo = await takeTests(wanted);
      setFound(null);
      notices.undoable(
        say('bench.files.taken', {
          count: wanted.calibrations.length,
        }),
        undo,
      );
    } catch (error) {
      setTrouble(say('bench.files.notTaken', { why: explain(error) }));
    }
  }
  return (
    <>
      <title>{say('bench.files.title')}</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">{say('bench.files.heading')}</chakra.h1>
      </TopBar>
      <BenchTabs />
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }} maxWidth="900px">
        <Section heading={say('bench.files.export')}>
          <Box fontSize="16px" marginBottom="10px">{say('bench.files.exportWhy')}</Box>
          <Box display="flex" gap="10px" flexWrap="wrap">
            <Button minHeight="48px" onClick={() => void save('json')}>
              <Download size={18} />{' '}{say('bench.files.json')}</Button>
            <Button minHeight="48px" onClick={() => void save('csv')}>
              <Download size={18} />{' '}{say('bench.files.csv')}</Button>
          </Box>
        </Section>
        <Section heading={say('bench.files.import')}>
          <FileDrop accept=".json,.csv" act={say('bench.files.choose')} onFile={(file) => void look(file)}>{say('bench.files.drop')}</FileDrop>
          {trouble && (
            <Box role="alert" color="warn" fontWeight="semibold">
              ▲ {trouble}
            </Box>
          )}
          {found && (
            <Box>
              <Box as="ul" listStyleType="none">
                {found.calibrations.map(({ id, input, machine }) => (
                  <Box as="li" key={id} borderTopWidth="1px" borderColor="line" paddingY="8px">
                    <b>{input.name}</b>, {machine}, {say('bench.files.runs', { count: input.runs.length })}
                  </Box>
                ))}
              </Box>
              <Button variant="solid" minHeight="48px" marginTop="10px" onClick={() => void take(found)}>{say('bench.files.take', { count: found.calibrations.length })}</Button>
            </Box>
          )}
        </Section>
      </Box>
    </>
  ); // prettier-ignore
}
