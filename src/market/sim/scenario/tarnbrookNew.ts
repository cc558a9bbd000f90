import type { ScenarioProduct } from './scenario';

/** What Tarnbrook Ferments has just taken in, and does not advertise yet. */
export const TARNBROOK_NEW: ScenarioProduct[] = [
  {
    name: 'Yoghurt glasses, set of six',
    line: 'Yoghurt',
    price: 23.5,
    conversion: 0.085,
    isNew: true,
    heads: ['yoghurt glasses', 'yoghurt pots', 'yoghurt maker glasses', 'yoghurt jars'],
    qualities: ['with lids', 'set of 6', '180 ml', 'small', 'spare', 'dishwasher safe', 'heat proof'],
    uses: ['for yoghurt makers', 'for desserts', 'for overnight oats', 'for baby food', 'for pudding'],
    strays: [
      'yoghurt recipe',
      'frozen yoghurt machine',
      'drinking glasses',
      'reading glasses',
      'flower pots',
    ],
  },
];
