import { expose } from 'comlink';
import { frameService } from './frame-job';
import { createFrameRenderer } from './renderer';

expose(frameService((paper) => createFrameRenderer(new OffscreenCanvas(1, 1), paper)));
