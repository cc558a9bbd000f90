import { useRef } from 'react';
import { saveBlob } from '../../shared/api';
import { Choice, FilePick } from '../../shared/kit';
import { useTell } from '../../shared/useTell';
import { buildApi } from './buildApi';
import type { OpenPlan } from './usePlan';

type Format = 'csv' | 'xlsx' | 'json';

/** A plan as a file: given out, edited elsewhere, and taken in again as a plan of its own. */
export function PlanFile({ open, onOpen }: { open: OpenPlan; onOpen: (id: number) => void }) {
  const { account, id, data, keepNow, look } = open;
  const tell = useTell();
  const file = useRef<HTMLInputElement>(null);
  const give = async (format: Format) => {
    await keepNow();
    const blob = await buildApi.file(account.id, id, format);
    saveBlob(blob, `Plan ${data.product.name}.${format}`.replace(/[^\w .-]+/g, ''));
  };
  const take = async (chosen: File) => {
    const answer = await buildApi.take(account.id, chosen);
    await look();
    onOpen(answer.id);
    tell(`${chosen.name} is a plan of its own now.`);
  };
  const told = (work: Promise<void>) =>
    void work.catch((error: Error) => tell(error.message, { kind: 'fault' }));
  return (
    <>
      <Choice
        label="Plan as a file"
        value=""
        placeholder="File …"
        onChange={(next) => (next === 'take' ? file.current?.click() : told(give(next as Format)))}
      >
        {[
          ['csv', 'Save as CSV'],
          ['xlsx', 'Save as XLSX'],
          ['json', 'Save as JSON'],
          ['take', 'Take in a plan’s file …'],
        ]}
      </Choice>
      <FilePick
        inputRef={file}
        label="File of a plan"
        accept=".csv,.xlsx,.json"
        onFile={(chosen) => told(take(chosen))}
      />
    </>
  );
}
