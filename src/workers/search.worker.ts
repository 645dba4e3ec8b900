import { expose } from 'comlink';
import { nextTurn } from './next-turn';
import { searchService } from './search-job';

expose(searchService(nextTurn));
