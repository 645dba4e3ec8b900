import { expose } from 'comlink';
import { lightService } from './light-series-job';

expose(lightService(() => new Promise((resolve) => setTimeout(resolve))));
