// Errors: wrong input as data. A code without words, or words without a code, fails the type check or a test.
export { collect, type Collected } from './collect.ts';
export { toResult, InputError } from './InputError.ts';
export { suggestion } from './suggestion.ts';
export { ERROR_CODES, type ErrorCode } from './codes.ts';
