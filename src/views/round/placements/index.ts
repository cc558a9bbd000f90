export { PlacementStep } from './PlacementStep';
export { PLACEMENTS_NAME, usePlacementWork } from './usePlacementWork';
export type { PlacementWork } from './usePlacementWork';
