import type { Shown } from '../base/shown'

export const benchAdds = {
  mix: (randomUUID: Shown) => `mix:${randomUUID}`,
}
