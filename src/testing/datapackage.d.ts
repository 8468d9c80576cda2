/** What the tests use of the reference library of Frictionless Data, which has no types of its own. */
declare module 'datapackage' {
  interface Resource {
    valid: boolean
    read(options?: { keyed?: boolean; relations?: boolean }): Promise<Record<string, unknown>[]>
  }
  export class Package {
    static load(descriptor: string, options: { basePath: string }): Promise<Package>
    valid: boolean
    errors: Error[]
    resourceNames: string[]
    getResource(name: string): Resource | undefined
  }
}
