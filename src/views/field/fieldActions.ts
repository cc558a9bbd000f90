import { LENSES } from '../../core/lenses';
import type { Action } from '../shared/frame/FindOrDo';
import { READY_MADE } from './swaths/readyMade';
import type { FieldState } from './useFieldState';
import { WHOLE_ACCOUNT } from '../shared/words';

/** What can be done in the field by its name: lenses, swaths, pictures. */
export function fieldActions(state: FieldState, onWindow: () => void): Action[] {
  return [
    ...LENSES.map(({ name, label }, at) => ({
      label: `Look at ${label.toLowerCase()}`,
      keys: String(at + 1),
      run: () => state.setLens(name),
    })),
    ...READY_MADE.map((swath) => ({
      label: `Swath: ${swath.name}`,
      keys: 'v',
      run: () => state.showSwath(swath),
    })),
    {
      label: state.shape === 'cross' ? 'Show rows' : 'Show the cross-tab',
      keys: 'x',
      run: () => state.setShape(state.shape === 'cross' ? 'rows' : 'cross'),
    },
    { label: 'Choose the window', keys: 'w', run: onWindow },
    { label: 'Drop all conditions', keys: '', run: () => state.setStack([]) },
    { label: WHOLE_ACCOUNT, keys: 'backspace', run: () => state.setScope(null) },
    { label: 'Picture: cut line', keys: '', run: () => state.setPicture('cut') },
    { label: 'Picture: ranked bars', keys: '', run: () => state.setPicture('bars') },
    { label: 'Picture: trend', keys: '', run: () => state.setPicture('trend') },
    { label: 'Picture: histogram', keys: '', run: () => state.setPicture('histogram') },
  ];
}
