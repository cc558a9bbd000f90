import { expose } from 'comlink';
import { writeNumbersAs } from '../../../core/units';
import { answersTravelLight } from './answers';

/** Hands an engine to the page that started this worker; `ping` tells the page that it still lives. */
export function exposeEngine(engine: object): void {
  // The page starts a worker under the name of the reader's locale: what it puts into words is written alike.
  writeNumbersAs(self.name);
  answersTravelLight();
  expose({ ...engine, ping: () => true });
}
