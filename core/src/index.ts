// All rooms together, for the test that calls every function. Others import a room by its own name.
// Core is pure computation: no interface, no network, no clock; SI inside, errors as data, every answer with its working.
export * from './messages/index.ts';
export * from './errors/index.ts';
export * from './quantities/index.ts';
export * from './fields/index.ts';
export * from './numeric/index.ts';
export * from './need/index.ts';
export * from './ground/index.ts';
export * from './loads/index.ts';
export * from './mix/index.ts';
export * from './machines/index.ts';
export * from './regulations/index.ts';
export * from './products/index.ts';
export * from './testing/index.ts';
export * from './wet/index.ts';
export * from './width/index.ts';
export * from './passes/index.ts';
export * from './coverage/index.ts';
export * from './runSheet/index.ts';
export * from './winter/index.ts';
export * from './season/index.ts';
export * from './working/index.ts';
export * from './drawing/index.ts';
export * from './worksheet/index.ts';
export * from './plan/index.ts';
