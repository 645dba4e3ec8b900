import { expose } from 'comlink';
import { measuredLevel } from './measure-level';
import { nextTurn } from './next-turn';
import { picturesService } from './pictures-job';

expose(picturesService(nextTurn, measuredLevel));
