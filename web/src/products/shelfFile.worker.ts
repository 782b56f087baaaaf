import { expose } from 'comlink';
import { shelfFile } from './shelfFile.ts';

expose(shelfFile);
