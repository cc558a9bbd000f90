import Button from '@mui/material/Button';
import { useState } from 'react';
import { readPasted } from '../../../../core/build';
import { counted, formatCount } from '../../../../core/units';
import { TextBox } from '../../../shared/kit';
import { useTell } from '../../../shared/useTell';
import { SourceMenu } from '../terms/SourceMenu';
import type { OpenPlan } from '../usePlan';

/** Item codes pasted in any form; which are our own is known. */
export function AddItems({ open }: { open: OpenPlan }) {
  const { plan, edit } = open;
  const tell = useTell();
  const [text, setText] = useState('');
  const add = () => {
    const { terms, codes, again } = readPasted(text);
    // What is no item code is taken too: its line says what is wrong, so that it can be mended there.
    const all = [...codes, ...terms.map((one) => one.toUpperCase())];
    const fresh = all.filter((code) => !plan.items.some((one) => one.code === code));
    edit(
      { items: [...plan.items, ...fresh.map((code) => ({ code, isOwn: false, bid: null }))] },
      `${counted(fresh.length, 'item')} added`,
    );
    setText('');
    const stood = all.length - fresh.length + again;
    tell(
      `${counted(fresh.length, 'item')} added${stood > 0 ? `; ${formatCount(stood)} stood there already` : ''}.`,
    );
  };
  return (
    <div className="addLines">
      <TextBox
        aria-label="Item codes to add"
        lines={2}
        isWide
        value={text}
        placeholder="Paste item codes of rivals in any form. Ctrl+Enter adds them."
        onChange={({ target }) => setText((target as unknown as HTMLTextAreaElement).value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.stopPropagation();
            event.preventDefault();
            add();
          }
        }}
      />
      <div className="bar">
        <Button variant="contained" disabled={text.trim() === ''} onClick={add}>
          Add items
        </Button>
        <SourceMenu open={open} matches={['exact']} />
      </div>
    </div>
  );
}
