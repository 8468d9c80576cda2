import { mkdirSync, writeFileSync } from 'node:fs'
import * as z from 'zod'
import { CASES } from '../src/model/headless/cases'

/** JSON Schema of one case, as published in docs/formats. */
export const schemaText = (name: keyof typeof CASES) =>
  `${JSON.stringify(
    { title: `Open Bed, ${name} case`, ...z.toJSONSchema(CASES[name], { io: 'input' }) },
    null,
    2,
  )}\n`

/** Writes them all. */
export function writeSchemas(folder: string) {
  mkdirSync(folder, { recursive: true })
  for (const name of Object.keys(CASES) as (keyof typeof CASES)[])
    writeFileSync(`${folder}/${name}.schema.json`, schemaText(name))
}
if (process.argv[2] === '--write-schemas') writeSchemas('docs/formats')
