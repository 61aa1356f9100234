/** The usual cautions, where the work can hurt someone. Local rules and qualified practice come first. */
export const GENERAL_CAUTIONS: readonly string[] = [
  'Needles and points: count needles out and in, park them in a cushion, keep scissors closed. Children work with an adult beside them.',
  'Good light from the side that does not hold the needle. Look up every 20 minutes; rest hands and neck every 30. Stop at tingling, pain or blurred sight.',
  'Damp thread ends with water, not in the mouth. Follow the rules of the place where you teach.',
]
