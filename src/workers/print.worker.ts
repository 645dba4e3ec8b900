import { expose } from 'comlink';
import { printService } from './print-job';

expose(printService);
