export const refusedWords: readonly { readonly word: RegExp; readonly say: string; readonly but?: RegExp }[];
export function refusedIn(text: string): readonly { readonly found: string; readonly say: string }[];
