import { Box, Button, chakra } from '@chakra-ui/react';
import { Download } from 'lucide-react';
import { useState } from 'react';
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
      notices.tell(`${explain(error)} Nothing was saved.`);
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
      setTrouble(error instanceof Error ? error.message : String(error));
    }
  }
  async function take(wanted: TestsToTake) {
    try {
      const undo = await takeTests(wanted);
      setFound(null);
      notices.undoable(
        `Took in ${wanted.calibrations.length === 1 ? 'one calibration' : `${wanted.calibrations.length} calibrations`}.`,
        undo,
      );
    } catch (error) {
      setTrouble(`${explain(error)} Nothing was taken.`);
    }
  }
  return (
    <>
      <title>Import and export · Steady Scatter</title>
      <TopBar>
        <chakra.h1 fontSize="21px" fontWeight="bold">
          Import and export
        </chakra.h1>
      </TopBar>
      <BenchTabs />
      <Box as="main" id="main" padding={{ base: '0 16px 24px', md: '4px 24px 24px' }} maxWidth="900px">
        <Section heading="Save all tests">
          <Box fontSize="16px" marginBottom="10px">
            JSON holds everything, machines and excluded runs included, and comes back whole. CSV has a row for each run,
            for a spreadsheet; it comes back too, by the names of the machines.
          </Box>
          <Box display="flex" gap="10px" flexWrap="wrap">
            <Button minHeight="48px" onClick={() => void save('json')}>
              <Download size={18} /> Tests as JSON
            </Button>
            <Button minHeight="48px" onClick={() => void save('csv')}>
              <Download size={18} /> Runs as CSV
            </Button>
          </Box>
        </Section>
        <Section heading="Bring tests in">
          <FileDrop accept=".json,.csv" act="Choose a file of tests" onFile={(file) => void look(file)}>
            or drop it here: JSON or CSV as saved above. Nothing is taken before you have seen it.
          </FileDrop>
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
                    <b>{input.name}</b>, {machine}, {input.runs.length} {input.runs.length === 1 ? 'run' : 'runs'}
                  </Box>
                ))}
              </Box>
              <Button variant="solid" minHeight="48px" marginTop="10px" onClick={() => void take(found)}>
                Take {found.calibrations.length === 1 ? 'this calibration' : `these ${found.calibrations.length} calibrations`}
              </Button>
            </Box>
          )}
        </Section>
      </Box>
    </>
  ); // prettier-ignore
}
