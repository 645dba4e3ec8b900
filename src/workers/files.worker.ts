import { expose } from 'comlink';
import { filesService } from './files-job';

expose(filesService);
