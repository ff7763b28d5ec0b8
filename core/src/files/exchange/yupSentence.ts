import type { ValidationError } from 'yup';

/** A value as a sentence shows it, cut where long. */
export const shown = (value: unknown): string => {
  const json = JSON.stringify(value) ?? 'nothing';
  return json.length > 60 ? `${json.slice(0, 57)}…` : json;
};

/** What Yup found first, as a sentence: where, what was read, what is allowed. */
export function sentence(error: ValidationError): string {
  const where = error.path ? `at ${error.path}` : 'at the top';
  const params = error.params as
    | {
        originalValue?: unknown;
        value?: unknown;
        values?: string;
        min?: number;
        max?: number;
        unknown?: string;
        type?: string;
      }
    | undefined;
  const read = `${where}, read ${shown(params?.originalValue ?? params?.value)}`;
  switch (error.type) {
    case 'typeError':
      return `${read}; ${params?.type === 'array' ? 'a list' : `a ${params?.type}`} belongs there`;
    case 'oneOf':
      return `${read}; allowed: ${params?.values}`;
    case 'min':
      return `${read}; the least is ${params?.min}`;
    case 'max':
      return `${read}; the most is ${params?.max}`;
    case 'matches':
      // The field says itself what belongs there.
      return `${read}; ${error.message} belongs there`;
    case 'noUnknown':
      return `${where}, there is something unknown: ${params?.unknown}`;
    default:
      return `${where}, something is missing`;
  }
}
