import { findMix } from '@steady-scatter/core/mix';
import { expose } from 'comlink';

const search = { findMix };
export type MixSearch = typeof search;

expose(search);
