import { useGarden } from '@/stores/garden'
import { saveFile } from '../page/saveFile'

/** Hands the whole garden to the browser as one file. */
export function useSaveAll() {
  const garden = useGarden()
  return async () =>
    saveFile(
      `open-bed-${garden.name}-${new Date().toISOString().slice(0, 10)}.json`,
      await garden.exportText(),
      'application/json',
    )
}
