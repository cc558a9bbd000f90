import { expect, test } from 'vitest';
import { wayIn } from './wayIn';

test.each([
  ['', '/'],
  ['?to=%2Ffield%3Faccount%3D1', '/field?account=1'],
  ['?to=https%3A%2F%2Felsewhere.example', '/'],
  ['?to=%2F%2Felsewhere.example', '/'],
  ['?to=%2F%5Celsewhere.example', '/'],
  ['?to=%2F%09%2Felsewhere.example', '/'],
  ['?to=javascript%3Aalert(1)', '/'],
])('the door at “%s” leads to %s', (search, to) => expect(wayIn(search)).toBe(to));
