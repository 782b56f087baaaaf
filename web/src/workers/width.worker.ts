import { resample, seeded, type Resampled, type Resampling } from '@steady-scatter/core/width';
import { expose } from 'comlink';

/** The same test gives the same bands each time it is opened. */
const SEED = 20_26;

const width = {
  resample(asked: string, onShare: (share: number) => void): Resampled | null {
    return resample(JSON.parse(asked) as Resampling, seeded(SEED), (share) => {
      onShare(share);
      return true;
    });
  },
};

export type WidthWorker = typeof width;
expose(width);
