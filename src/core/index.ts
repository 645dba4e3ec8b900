export * from './exposure';
export * from './light';
export * from './motion';
export * from './optics';
export * from './quantity';
export * from './site';
export * from './sun';
