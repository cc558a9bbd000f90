import { exposeEngine } from '../worker/engineWorker';
import { reviewEngine } from './reviewEngine';

// The review's computation, off the page's own thread.
exposeEngine(reviewEngine());
