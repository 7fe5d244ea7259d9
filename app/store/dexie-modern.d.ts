/** The package's own build for browsers of today, without what older ones need: 2 kB less in the first view. Same types. */
declare module 'dexie/dist/modern/dexie.mjs' {
  export * from 'dexie';
}
