/** Why a needle serves or does not, in words. */
import type { Sentences } from '../base/index.ts'

export const MATERIALS_SENTENCES: Sentences = {
  'needle.wraps': '{needle}: {wraps} wraps must slide over an eye that is wider than its shaft. Take a milliner needle.',
  'needle.eye': '{needle}: the eye opens {eye} and this thread needs {eyeNeeded}. Take a coarser needle or fewer strands.',
  'needle.the-one': '{needle}: the one needle for everything; its eye of {eye} takes the {bundle} bundle.',
  'needle.thin': '{needle}: the {shaft} shaft opens too small a hole; about {wanted} is wanted, so the thread would drag and fray.',
  'needle.thick': '{needle}: the {shaft} shaft leaves a visible hole; about {wanted} is enough.',
  'needle.cloth': '{needle}: the {shaft} shaft is more than {cloth} passes ({passes} with ease). Take fewer strands or a more open cloth.',
  'needle.eye-tight': '{needle}: its eye of {eye} is tight for this thread ({eyeNeeded} wanted); try it, and take shorter lengths.',
  'needle.rather-thin': '{needle}: the {shaft} shaft opens a small hole ({wanted} wanted); take shorter lengths, for the thread wears.',
  'needle.rather-thick': '{needle}: the {shaft} shaft opens a wide hole ({wanted} wanted); it may show in close cloth.',
  'needle.eye-first': '{needle}: right for this thread, with a point that splits what it slides under; lead it eye first.',
  'needle.blunt': '{needle}: the {shaft} shaft fits, but its blunt point must be pushed through {cloth}.',
  'needle.close-cloth': '{needle}: the {shaft} shaft suits the thread; {cloth} passes {passes} with ease, so push slowly.',
  'needle.plunges': '{needle}: takes the two ends of the laid thread to the back; its eye of {eye} passes the {bundle} bundle.',
  'needle.plunges-opened':
    '{needle}: takes the two ends of the laid thread to the back; its eye of {eye} passes the {bundle} bundle. Open the two holes in {cloth} with a stiletto first.',
  'needle.right': ({ needle, shaft, wanted, percent, eye, bundle }, say) => {
    const sign = Number(percent) >= 0 ? '+' : '\u2212'
    return `${say(needle)}: ${say(shaft)} shaft, ${say(wanted)} wanted (${sign}${Math.abs(Number(percent))} %); its eye of ${say(eye)} takes the ${say(bundle)} bundle.`
  },
}
