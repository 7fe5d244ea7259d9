import {
  backupPieces,
  contentPieces,
  mostBackupCharacters,
  readBackup,
  readIncomingText,
  sayPlace,
  writeSheetJson,
  writeTempoText,
} from '../../core/index';

/** What files are read and written by: loaded when somebody opens or saves one. */
export const formats = {
  backupPieces,
  contentPieces,
  mostBackupCharacters,
  readBackup,
  readIncomingText,
  sayPlace,
  writeSheetJson,
  writeTempoText,
};
