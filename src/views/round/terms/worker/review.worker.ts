import { expose } from 'comlink';
import { reviewEngine } from './reviewEngine';

// The review's computation, off the page's own thread.
expose(reviewEngine());
