export { RoutesPlace } from './Routes';
