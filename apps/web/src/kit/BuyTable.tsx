/** What is bought for the class, with what serves instead. */
import type { ToBuy } from '@lemmata/core/kit'

export function BuyTable({ list }: { readonly list: readonly ToBuy[] }) {
  return (
    <>
      <p className="why">For all kits together; thread with what is unpicked and lost. What you have already is not taken off.</p>
      <table className="kit-table">
        <thead>
          <tr>
            <th>What</th>
            <th className="kit-number">How many</th>
            <th>In each kit</th>
            <th>Instead</th>
          </tr>
        </thead>
        <tbody>
          {list.map((one) => (
            <tr key={`${one.group} ${one.what}`}>
              <td>
                <span className="quiet">{one.group}: </span>
                {one.what}
              </td>
              <td className="kit-number">
                {one.count}
                {one.unit === '' ? '' : ` × ${one.unit}`}
              </td>
              <td>{one.each}</td>
              <td>{one.instead ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
