import { cx } from './cx';
import { LOOKS } from './looks';

/** Picks files from the disk or the camera; the same file may be picked twice in a row. */
export function FilePicker({
  label,
  accept,
  multiple = false,
  disabled = false,
  onFiles,
}: {
  readonly label: string;
  readonly accept: string;
  readonly multiple?: boolean;
  readonly disabled?: boolean;
  readonly onFiles: (files: readonly File[]) => void;
}) {
  return (
    <label className={cx('inline-flex min-h-11 cursor-pointer items-center focus-within:outline-3', LOOKS.plain)}>
      {label}
      <input
        type="file"
        accept={accept}
        multiple={multiple}
        className="sr-only"
        disabled={disabled}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
    </label>
  );
}
