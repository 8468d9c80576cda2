import { defaultDocument, defaultWindow, useEventListener, useTimeoutFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { onScopeDispose } from 'vue'
import { useChoosing } from './garden/choosing'
import { useConnection } from './garden/connection'
import { useEditing } from './garden/editing'
import { useRecords } from './garden/records'

/** What makes a file: fetched when the page has settled, so that it is there whatever becomes of the network. */
const exporting = () => import('@/storage/exportFile')
const SETTLED = 2000

/** Writes what is not written yet when the page is left, and asks before it goes. */
function useLeaving(flush: () => void, hasUnsaved: () => boolean) {
  useEventListener(defaultWindow, 'pagehide', flush)
  useEventListener(defaultDocument, 'visibilitychange', () => {
    if (document.visibilityState === 'hidden') flush()
  })
  useEventListener(defaultWindow, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (!hasUnsaved()) return
    flush()
    event.preventDefault()
  })
}

/**
 * The garden on screen: its records, the history of what was done to them, and how saving is going. One garden is
 * open for the life of a page; changing gardens loads the page anew, so that nothing of one can reach the other.
 */
export const useGarden = defineStore('garden', () => {
  const garden = useRecords()
  const connection = useConnection(garden)
  const editing = useEditing(garden, connection)
  const choosing = useChoosing(garden, connection)
  const { held, close, ...shown } = connection
  const { show: _show, replace: _replace, ...read } = garden

  const flush = async () => held.saver?.flush()
  const hasUnsaved = () =>
    held.inMemory ? editing.history.value.past.length > 0 : (held.saver?.hasUnsaved() ?? false)
  useLeaving(() => void flush(), hasUnsaved)
  onScopeDispose(close)
  useTimeoutFn(() => void exporting().catch(() => null), SETTLED)

  async function exportText() {
    await connection.untilWhole()
    const { exportFile } = await exporting()
    return exportFile(garden.records.value, connection.setAside.value, new Date().toISOString())
  }
  return { ...read, ...shown, ...editing, ...choosing, hasUnsaved, flush, exportText }
})
