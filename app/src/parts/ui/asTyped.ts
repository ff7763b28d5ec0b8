import type { ChangeEvent } from 'react';
import { asText } from '@loose-pulley/core/base/schema';

/** What was typed or pasted into a field, without the control characters that no keyboard has and no file can carry. */
export function asTyped<E extends ChangeEvent<HTMLInputElement | HTMLTextAreaElement>>(event: E): E {
  const text = asText(event.target.value);
  if (text !== event.target.value) event.target.value = text;
  return event;
}
