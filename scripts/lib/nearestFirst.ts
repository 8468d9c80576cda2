import { readFileSync, statSync } from 'node:fs'
import { dirname, relative } from 'node:path'
import { globSync } from 'tinyglobby'
import { BaseSequencer, type TestSpecification } from 'vitest/node'

/** The file of every mutant by its number, read from what Stryker wrote into the code. */
function filesOfMutants(): Map<string, string> {
  const files = new Map<string, string>()
  for (const name of globSync('src/{core,model,storage}/**/*.ts', { ignore: '**/*.test.ts' }))
    for (const [, id] of readFileSync(name, 'utf8').matchAll(/stryMutAct_\w+\("(\d+)"\)/g))
      files.set(id!, name)
  return files
}

/** How many folders on the way from the root two files share. */
function sharedFolders(a: string, b: string): number {
  const [x, y] = [dirname(a).split('/'), dirname(b).split('/')]
  const differs = x.findIndex((folder, i) => folder !== y[i])
  return differs === -1 ? x.length : differs
}

/**
 * The tests beside a mutant come first, and small files before large ones: the run ends with the first test that
 * notices, and most mutants are noticed next door.
 */
export default class NearestFirst extends BaseSequencer {
  private files?: Map<string, string>

  override async sort(specs: TestSpecification[]): Promise<TestSpecification[]> {
    const { activeMutant } = this.ctx.getRootProject().getProvidedContext() as { activeMutant?: string }
    if (activeMutant === undefined) return super.sort(specs)
    this.files ??= filesOfMutants()
    const mutated = this.files.get(activeMutant) ?? ''
    const nearness = ({ moduleId }: TestSpecification) =>
      sharedFolders(relative(process.cwd(), moduleId), mutated)
    const size = ({ moduleId }: TestSpecification) => statSync(moduleId).size
    return [...specs].sort((a, b) => nearness(b) - nearness(a) || size(a) - size(b))
  }
}
