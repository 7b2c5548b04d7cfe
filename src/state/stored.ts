type Stored = typeof import('../data/stored')

let coming: Promise<Stored & { readonly db: InstanceType<Stored['Database']> }> | null = null

/** The browser's store of benches with all that reads and writes it; fetched after the first picture. */
export function stored() {
  coming ??= import('../data/stored').then((data) => ({ ...data, db: new data.Database() }))
  // What could not be fetched may be asked for again.
  coming.catch(() => (coming = null))
  return coming
}
