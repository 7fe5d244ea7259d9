import { ConsoleStdout, File, OpenFile, PreopenDirectory, WASI } from '@bjorn3/browser_wasi_shim';

/** As the pack was rendered: brisk. */
const stretch = '0.8';
const silent = (): ConsoleStdout => ConsoleStdout.lineBuffered(() => undefined);

/**
 * Has words spoken by the compiled synthesiser, in a fresh instance each time, since it ends when it has spoken. Gives the
 * bytes of a plain wave file of 16 kHz, one channel, or null where nothing came of it.
 * @example await speakWords(module, 'rms', 'tarrow bee') // Uint8Array
 */
export async function speakWords(module: WebAssembly.Module, voice: string, words: string): Promise<Uint8Array | null> {
  const out = new PreopenDirectory('/out', new Map());
  const line = ['flite', '-voice', voice, '--setf', `duration_stretch=${stretch}`, '-t', words, '-o', '/out/clip.wav'];
  const wasi = new WASI(line, [], [new OpenFile(new File([])), silent(), silent(), out], { debug: false });
  const instance = await WebAssembly.instantiate(module, { wasi_snapshot_preview1: wasi.wasiImport });
  // A command module: its exports are a memory and the one function to start.
  wasi.start(instance as Parameters<WASI['start']>[0]);
  const file = out.dir.contents.get('clip.wav');
  return file instanceof File ? file.data : null;
}
