export { cellText } from './cells';
export { textsOf } from './houseWords';
export { reportPage } from './page';
