/** The database or another tab has not answered within the time a person waits. */
export class Silence extends Error {
  override name = 'Silence'
}

/** The database is not there any more: somebody cleared the data of this site under the page. */
export class Gone extends Error {}

/** How long a single answer of the database may take, ms, before the app says that it waits for nothing. */
export const PATIENCE = 5000

/**
 * The same promise, given up after `ms`. What was asked for may still happen later: whoever asks again must look
 * first.
 */
export async function withTimeLimit<T>(work: Promise<T>, ms: number = PATIENCE): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const limit = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(new Silence(`no answer within ${ms / 1000} s`)), ms)
  })
  try {
    return await Promise.race([work, limit])
  } finally {
    clearTimeout(timer)
  }
}
