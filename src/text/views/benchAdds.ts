import type { Shown } from '../shown'

export const benchAdds = {
  addFromTheShelf: 'Add from the shelf',
  addAFinishedMix: 'Add a finished mix',
  mix: (randomUUID: Shown) => `mix:${randomUUID}`,
}
