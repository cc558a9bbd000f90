import type { ReactNode } from 'react';
import type { FieldValues, Path, UseFormSetError } from 'react-hook-form';
import { ApiError } from '../api';

interface FieldProps {
  label: string;
  /** What is wrong with what stands in it. */
  error?: { message?: string };
  children: ReactNode;
}

/** A field of a form: its label above, what is wrong with it below. */
export function Field({ label, error, children }: FieldProps) {
  return (
    <div className="stacked">
      <span className={error ? 'over' : 'faint'}>{label}</span>
      {children}
      {error?.message && (
        <span role="alert" className="over small">
          {error.message}
        </span>
      )}
    </div>
  );
}

/**
 * Puts what a request was refused for at the fields it is about; what is about none stands at the form.
 * @param where the field of a fault's place in the request, for instance "body.campaign.name"
 */
export function showFaults<T extends FieldValues>(
  error: Error,
  setError: UseFormSetError<T>,
  where: Readonly<Record<string, Path<T>>>,
): void {
  const faults = error instanceof ApiError ? error.faults : [];
  let isShown = false;
  for (const fault of faults) {
    const field = where[fault.where.replace(/^body\./, '')];
    if (!field) continue;
    setError(field, { message: fault.what });
    isShown = true;
  }
  if (!isShown) setError('root', { message: error.message });
}
