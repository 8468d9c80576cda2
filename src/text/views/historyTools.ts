import type { Shown } from '../base/shown'

export const historyTools = {
  undo: (undo: Shown) => `Undo ${undo}`,
  undo2: 'Undo',
  undoCtrlZ: (undo: Shown) => `Undo ${undo} (Ctrl+Z)`,
  nothingToUndo: 'Nothing to undo',
  redo: (redo: Shown) => `Redo ${redo}`,
  redo2: 'Redo',
  redoCtrlY: (redo: Shown) => `Redo ${redo} (Ctrl+Y)`,
  nothingToRedo: 'Nothing to redo',
}
