import { exposeEngine } from '../worker/engineWorker';
import { fieldEngine } from './fieldEngine';

exposeEngine(fieldEngine());
