/** How stitches hang on the wall, which is also the order in which they are painted. */
import { LIBRARY } from '@lemmata/core/stitches'
import { expect, it } from 'vitest'
import { familiesOf } from './families.ts'

it('a family stands where its first stitch does, and holds all of its stitches in their order', () => {
  const named = (id: string, family?: string) => ({ ...(LIBRARY[0] as (typeof LIBRARY)[number]), id, family })
  const families = familiesOf([named('a', 'rain'), named('b', 'fog'), named('c'), named('d', 'rain'), named('e', 'fog')])
  expect(families.map(({ name, documents }) => [name, documents.map(({ id }) => id).join()])).toEqual([
    ['rain', 'a,d'],
    ['fog', 'b,e'],
    ['others', 'c'],
  ])
})

it('of the library none is lost and none hangs twice', () => {
  const hung = familiesOf(LIBRARY).flatMap(({ documents }) => documents.map(({ id }) => id))
  expect([...hung].sort()).toEqual(LIBRARY.map(({ id }) => id).sort())
})
