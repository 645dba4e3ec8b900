import { expose } from 'comlink';
import { dayService } from './day-job';
import { nextTurn } from './next-turn';

expose(dayService(nextTurn));
