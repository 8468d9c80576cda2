import type { Shown } from '../shown'

export const benchAdds = {
  mix: (randomUUID: Shown) => `mix:${randomUUID}`,
}
