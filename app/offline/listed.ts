/** A file of the build, as the list says that is bundled with the worker. */
export interface ListedFile {
  /** From the root, with its slash. */
  readonly url: string;
  /** The SHA-256 of its content, in hexadecimal; null where its name already has a hash of it. */
  readonly revision: string | null;
  readonly bytes: number;
}
