import { expose } from 'comlink';
import { lightService } from './light-series-job';
import { nextTurn } from './next-turn';

expose(lightService(nextTurn));
