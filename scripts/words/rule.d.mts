import type { Rule } from 'eslint';

export const plainWords: Rule.RuleModule;
