/** Needles by kind and size with what they are for, and the tools: needed or a help, and what serves instead. */
import { CAUTIONS, type Kit, type KitTool } from '@lemmata/core/kit'
import { nameNeedle } from '@lemmata/core/materials'
import { type Sampler, teachingOrder } from '@lemmata/core/sampler'
import { letterOf } from '@lemmata/core/sheets'

interface Props {
  readonly sampler: Sampler
  readonly kit: Kit
  readonly tools: readonly KitTool[]
}

export function NeedlesAndTools({ sampler, kit, tools }: Props) {
  const letters = new Map(teachingOrder(sampler).map((exercise, index) => [exercise.id as string, letterOf(index)]))
  return (
    <div className="kit-tables">
      <section>
        <h2>Needles</h2>
        <p className="why">
          {kit.needles.length * kit.kits} in all. Count them out and in again: {kit.needles.length} to each learner, into a numbered book.
        </p>
        <table className="kit-table">
          <thead>
            <tr>
              <th>Needle</th>
              <th>Shaft</th>
              <th>For</th>
              <th className="kit-number">In all</th>
              <th className="paper-only">Out</th>
              <th className="paper-only">In again</th>
            </tr>
          </thead>
          <tbody>
            {kit.needles.map(({ needle, exercises }) => (
              <tr key={nameNeedle(needle)}>
                <td>{nameNeedle(needle)}</td>
                <td>
                  {needle.shaftMm.toFixed(2)} mm, {needle.family.point}
                </td>
                <td>{exercises.map((id) => letters.get(id)).join(', ')}</td>
                <td className="kit-number">{kit.kits}</td>
                <td className="paper-only" />
                <td className="paper-only" />
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h2>Tools</h2>
        <table className="kit-table">
          <thead>
            <tr>
              <th>Tool</th>
              <th>Needed</th>
              <th>Instead</th>
              <th className="kit-number">In all</th>
            </tr>
          </thead>
          <tbody>
            {tools.map((tool) => (
              <tr key={tool.id}>
                <td>
                  {tool.name}
                  {tool.caution !== null && <span className="kit-caution"> {tool.caution}</span>}
                </td>
                <td>{tool.needed === 'always' ? 'yes' : 'a help'}</td>
                <td>{tool.instead ?? 'nothing'}</td>
                <td className="kit-number">{tool.shared ? '1 for the room' : kit.kits}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <h3>Cautions</h3>
        <ul className="kit-list">
          {CAUTIONS.map((one) => (
            <li key={one}>{one}</li>
          ))}
        </ul>
        <p className="why">First keep to the rules of the place where you teach, and to those for children and shared rooms; ask whoever is qualified there.</p>
      </section>
    </div>
  )
}
