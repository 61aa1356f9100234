/** Why these strands and this needle: a sentence each, with the figures. */
import { problemInWords } from '@lemmata/contract'
import type { AssignedThread } from '@lemmata/core/assign'
import type { Sampler } from '@lemmata/core/sampler'

export function Reasons({ sampler, assigned }: { sampler: Sampler; assigned: AssignedThread }) {
  const { strands, advisedStrands, needle, contrast } = assigned
  const own = strands.value !== advisedStrands.value
  return (
    <div className="reasons">
      <p>
        {own
          ? `Recommended: ${uncapitalised(problemInWords(advisedStrands.reason, sampler.units))} Yours: ${uncapitalised(problemInWords(strands.reason, sampler.units))}`
          : problemInWords(strands.reason, sampler.units)}
      </p>
      <p>{problemInWords(needle.reason, sampler.units)}</p>
      <p>Contrast with the cloth {contrast.toFixed(1)} to 1.</p>
    </div>
  )
}

function uncapitalised(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1)
}
