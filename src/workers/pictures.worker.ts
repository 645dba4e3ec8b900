import { expose } from 'comlink';
import { nextTurn } from './next-turn';
import { picturesService } from './pictures-job';

expose(picturesService(nextTurn));
