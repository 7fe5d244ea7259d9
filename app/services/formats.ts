import {
  checkedText,
  contentIn,
  mostBackupCharacters,
  readBackup,
  readIncomingText,
  sayPlace,
  writeBackup,
  writeSheetJson,
  writeTempoText,
} from '../../core/index';

/** What files are read and written by: loaded when somebody opens or saves one. */
export const formats = {
  checkedText,
  contentIn,
  mostBackupCharacters,
  readBackup,
  readIncomingText,
  sayPlace,
  writeBackup,
  writeSheetJson,
  writeTempoText,
};
