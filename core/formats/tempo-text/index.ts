export { readTempoText, type FromText } from './read';
export { writeTempoText } from './write';
export { sayPlace, type TextFault } from './line';
