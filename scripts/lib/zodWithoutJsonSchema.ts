import type { Plugin } from 'vite'

/** What the schemas of the page import and never use: it writes no JSON Schema, and that half of Zod is 8 kB. */
const UNUSED: readonly [line: string, instead: string][] = [
  ['import * as processors from "../core/json-schema-processors.js";', 'const processors = {};'],
  [
    'import { createStandardJSONSchemaMethod, createToJSONSchemaMethod } from "../core/to-json-schema.js";',
    'const createStandardJSONSchemaMethod = () => undefined; const createToJSONSchemaMethod = () => undefined;',
  ],
]

/** Leaves what writes JSON Schemas out of the page; stops the build where Zod no longer has those lines. */
export const zodWithoutJsonSchema: Plugin = {
  name: 'zod-without-json-schema',
  apply: 'build',
  transform(code, id) {
    if (!id.endsWith('zod/v4/classic/schemas.js')) return null
    let text = code
    for (const [line, instead] of UNUSED) {
      if (!text.includes(line)) this.error(`Zod has no line “${line}” any more`)
      text = text.replace(line, instead)
    }
    return { code: text, map: null }
  },
}
