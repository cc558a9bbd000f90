export { SetupPlace } from './Setup';
