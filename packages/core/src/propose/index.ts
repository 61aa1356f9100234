/** How all that is on the cloth could be arranged: proposed, judged, and taken as one edit. */
export { asItLies, LAYOUTS, type LayoutWay, type PlacedUnit, type Proposal, proposeLayouts, shrinksTo, takeProposal, type Unit, unitsOf } from './layouts.ts'
