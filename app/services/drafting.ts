import { draftSheet } from '../../core/index';

/** Drafts whole sessions: loaded when somebody wishes for one. */
export const drafting = { draftSheet };
