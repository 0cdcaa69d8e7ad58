export * from './writeSvg.ts';
export * from './writeCutList.ts';
export * from './writeBuild.ts';
export * from './specSchema.ts';
export * from './writeDxf.ts';
export * from './writeGltf.ts';
export * from './modelFile.ts';
export * from './writeCsv.ts';
