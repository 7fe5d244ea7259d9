export * from './units';
export * from './fault';
export * from './moves/kind';
export * from './moves/catalogue';
export * from './moves/move';
export * from './moves/scheme';
export * from './notation/combination';
export { formsOf, shortForm, type Forms } from './notation/forms';
export { readCombination, partNameFault, type Parts, type ReadOptions } from './notation/read';
export { describeCombination } from './notation/describe';
export { writeCombination, writeMove, writeSlot } from './notation/write';
export * from './mechanics/steps';
export * from './mechanics/walk';
export * from './mechanics/seams';
export * from './mechanics/study';
export { studyOf } from './mechanics/study-of';
export * from './mechanics/repairs';
export * from './mechanics/edit';
export * from './mechanics/mirror';
export * from './mechanics/place';
export * from './progressions/build';
export * from './progressions/ladder';
export * from './progressions/shapes';
export * from './progressions/drills';
export * from './progressions/call-drill';
export * from './calls/number-words';
export { flatten, listedMoves } from './progressions/flat';
export * from './session/effort';
export * from './session/schema';
export * from './session/clock-text';
export * from './session/stored';
export * from './session/stages';
export * from './session/build-fit';
export * from './session/changes';
export * from './session/passes';
export * from './session/block-names';
export * from './session/fit-minutes';
export * from './notation/map-moves';
export * from './library/exercises';
export * from './library/clock-formats';
export * from './library/templates';
export * from './library/blocks-from-text';
export * from './book/sheet-parts';
export * from './versions/versions';
export * from './draft/draft';
export * from './session/piece-name';
export * from './session/unused-id';
export * from './session/compile';
export * from './session/edit';
export * from './session/edit-many';
export * from './session/findings/index';
export * from './session/template';
export * from './session/log-entry';
export * from './tally/counts';
export * from './tally/planned';
export * from './tally/at-a-glance';
export * from './run/clock';
export * from './run/run';
export * from './run/done';
export * from './run/cues';
export * from './calls/say';
export * from './calls/kinds';
export {
  callEditSchema,
  isEmptyPhrasebook,
  sheetCallsSchema,
  usualCheers,
  usualFocuses,
  usualPhrases,
  wordingsSchema,
  type CallEdit,
  type TechniqueFocus,
  type SheetCalls,
  type Wording,
  type Wordings,
} from './calls/phrasebook';
export * from './calls/say-combination';
export * from './calls/speech';
export * from './calls/options';
export * from './stances/schema';
export * from './stances/balance';
export * from './formats/sheet-json';
export * from './formats/book-json';
export * from './book/schema';
export * from './bags/kinds';
export * from './bags/fit';
export * from './book/merge';
export * from './book/parts';
export * from './book/search';
export * from './tally/tap-along';
export * from './formats/tempo-text/index';
export * from './bags/adapt-sheet';
export * from './bags/bench/pendulum';
export * from './bags/bench/double-end';
export * from './bags/bench/heights';
export * from './bags/bench/speed-bag';
export * from './lanes/rotation';
export * from './lanes/lanes';
export * from './lanes/board';
export * from './lanes/pads';
export * from './lanes/today';
export * from './room/schema';
export * from './room/room';
export * from './room/usual-bag';
export * from './bags/own-kind';
export * from './bags/conditions';
export * from './bags/drills';
export * from './bags/learning';
export * from './bags/rhythm';
export * from './bags/swing-drill';
export * from './bags/bench/ball-drill';
export * from './bags/bench/ball-rhythm';
export * from './bags/bench/double-end-notes';
export * from './bags/bench/floor';
export * from './library/bag-plans';
export * from './measures';
export * from './calls/call';
export * from './calls/candidates';
export { schedule, type Schedule } from './calls/schedule';
export * from './calls/track';
export * from './formats/subtitles';
export * from './audio/voice';
export * from './audio/bells';
export * from './audio/render';
