import { expose } from 'comlink';
import { fieldEngine } from './fieldEngine';

expose(fieldEngine());
