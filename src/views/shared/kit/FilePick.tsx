import type { Ref } from 'react';

interface FilePickProps {
  /** Clicked, it has the browser ask for a file. */
  inputRef: Ref<HTMLInputElement>;
  label: string;
  accept: string;
  onFile: (file: File) => void;
}

/** The browser's own choice of a file, out of sight: a button opens it. The same file may be chosen again. */
export function FilePick({ inputRef, label, accept, onFile }: FilePickProps) {
  return (
    <input
      ref={inputRef}
      type="file"
      hidden
      accept={accept}
      aria-label={label}
      onChange={({ target }) => {
        const [file] = target.files ?? [];
        if (file) onFile(file);
        target.value = '';
      }}
    />
  );
}
