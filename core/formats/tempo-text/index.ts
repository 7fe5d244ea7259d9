export { readTempoText, type FromText } from './read';
export { writeTempoText } from './write';
export { sayPlace, type TextFault } from './line';
export { readPieceLine } from './line-of-pieces';
export { keepIds } from './keep-ids';
