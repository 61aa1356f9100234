/** What is bought for the class after what is in the stores, what it costs, and what serves instead. */
import type { AgainstStores, Bought } from '@lemmata/core/kit'
import { formatLength } from '@lemmata/core/units'
import { Link } from 'react-router'
import { priceInWords } from '../stores/stored-words.ts'

interface Props {
  readonly against: AgainstStores
  readonly currency: string
  readonly units: 'mm' | 'in'
}

export function BuyTable({ against, currency, units }: Props) {
  const { lines, cost, perKit, unpriced } = against
  const price = (value: number): string => priceInWords(value, currency)
  return (
    <>
      <p className="why">
        For all kits that are not cut or packed yet; thread with what is unpicked and lost. What is in your <Link to="/stores">stores</Link> is taken off.{' '}
        {cost > 0 && <strong>To buy: {price(cost)}. </strong>}
        {perKit > 0 && <strong>One kit costs {price(perKit)}, bought or from the stores. </strong>}
        {unpriced.length > 0 && `Without a price, and in neither sum: ${unpriced.length} of ${lines.length}; give it in the stores.`}
      </p>
      <table className="kit-table">
        <thead>
          <tr>
            <th>What</th>
            <th className="kit-number">Needed</th>
            <th className="kit-number">In the stores</th>
            <th className="kit-number">To buy</th>
            <th className="kit-number">Costs</th>
            <th>In each kit</th>
            <th>Instead</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((one) => (
            <tr key={`${one.group} ${one.of} ${one.what}`} className={one.missing === 0 ? 'is-enough' : undefined}>
              <td>
                <span className="quiet">{one.group}: </span>
                {one.what}
              </td>
              <td className="kit-number">{amountInWords(one, one.count, units)}</td>
              <td className="kit-number">{one.onHand === 0 ? '' : amountInWords(one, one.onHand, units)}</td>
              <td className="kit-number">{one.missing === 0 ? 'nothing' : <strong>{amountInWords(one, one.missing, units)}</strong>}</td>
              <td className="kit-number">{one.price === null || one.missing === 0 ? '' : price(one.price * one.missing)}</td>
              <td>{one.each}</td>
              <td>{one.instead ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}

const MM_PER_YARD = 914.4

/** Cloth is sold by the metre, where inches are read by the yard; thread by put-ups of so many metres. */
function amountInWords({ group, unit }: Bought, amount: number, units: Props['units']): string {
  if (group === 'Cloth')
    return units === 'mm' ? `${amount.toFixed(1)} m` : `${((amount * 1000) / MM_PER_YARD).toFixed(2)} yd (${formatLength(amount * 1000, 'in', 0)})`
  return `${Number(amount.toFixed(1))}${unit === '' ? '' : ` \u00D7 ${unit}`}`
}
