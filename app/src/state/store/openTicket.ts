import { createAction, createSlice, type PayloadAction, type UnknownAction } from '@reduxjs/toolkit';
import type { EventBody, TicketRecord } from '@loose-pulley/core/record/ticket';
import type { StoreProblem } from '../persistence/storage';

/** The ticket on screen. A union on `status`, so that no screen forgets a case. */
export type OpenTicket =
  | { readonly status: 'none' }
  | { readonly status: 'loading'; readonly id: string }
  | { readonly status: 'missing'; readonly id: string }
  | { readonly status: 'failed'; readonly id: string; readonly problem: StoreProblem }
  | {
      readonly status: 'open';
      readonly id: string;
      readonly record: TicketRecord;
      /** Whether this tab writes, another does, or this tab is asking to. */
      readonly access: 'writer' | 'reader' | 'asking';
      /** Written by a newer Loose Pulley: shown, and never written here. */
      readonly newer?: boolean;
      readonly saving: 'kept' | 'saving' | 'failed';
      readonly problem: StoreProblem | null;
      /** The last event as another tab left it that had the ticket before: undo of it is asked. */
      readonly theirs?: string | undefined;
    };

/** How letters that are not in the ticket yet get there: by themselves, or by Enter. */
export type Unsaved = 'itself' | 'enter';

export interface Draft {
  readonly text: string;
  readonly refusal: string | null;
}

export interface OpenTicketState {
  readonly ticket: OpenTicket;
  /** Text typed but not (yet) taken as a reading, by field, with why it was refused: bad input loses nothing. */
  readonly drafts: Readonly<Record<string, Draft>>;
  /** A line begun at Strip and not entered yet, by ticket: it is there again when the page is. */
  readonly halfLines: Readonly<Record<string, string>>;
  /** How many fields hold letters that are not in the ticket yet: they go there by themselves, or wait for Enter. */
  readonly unsaved: Readonly<Record<Unsaved, number>>;
  /** Records with changes that could not be written, since another tab has their tickets: offered as copies. */
  readonly stranded: readonly TicketRecord[];
  /** The last thing said aloud: undo and its place, refusals. */
  readonly said: { readonly text: string; readonly to: string | null } | null;
  /** What undo or redo would take back of another tab: asked about before it is. */
  readonly undoAsked: {
    readonly of: 'ticket' | 'book';
    readonly way: 'undone' | 'redone';
    readonly what: string;
  } | null;
  /** Power or lid that was said while an open temporary change forbids it: asked about before it is kept. */
  readonly asked: 'power' | 'poweredOpen' | 'unplugged' | 'lid' | 'lidOff' | null;
  /** A belt that was to go on while something is wet, greasy or not wiped: asked about before it counts as fitted. */
  readonly heldFit: { readonly driveId: string; readonly bodies: readonly EventBody[] } | null;
}

const initialState = {
  ticket: { status: 'none' },
  drafts: {},
  halfLines: {},
  unsaved: { itself: 0, enter: 0 },
  stranded: [],
  said: null,
  undoAsked: null,
  asked: null,
  heldFit: null,
} as OpenTicketState;

const slice = createSlice({
  name: 'openTicket',
  initialState,
  reducers: {
    accessChanged(state, { payload }: PayloadAction<'writer' | 'reader' | 'asking'>) {
      if (state.ticket.status !== 'open') return;
      state.ticket.access = payload;
      // What could not be saved is another tab's to say from now on.
      if (payload === 'reader') Object.assign(state.ticket, { saving: 'kept', problem: null });
    },
    savingChanged(
      state,
      { payload }: PayloadAction<{ saving: 'kept' | 'saving' | 'failed'; problem: StoreProblem | null }>,
    ) {
      if (state.ticket.status === 'open') Object.assign(state.ticket, payload);
    },
    drafted(state, { payload }: PayloadAction<{ field: string; draft: Draft | null }>) {
      if (payload.draft === null) delete state.drafts[payload.field];
      else state.drafts[payload.field] = payload.draft;
    },
    halfLineTyped(state, { payload }: PayloadAction<{ ticketId: string; text: string }>) {
      if (payload.text === '') delete state.halfLines[payload.ticketId];
      else state.halfLines[payload.ticketId] = payload.text;
    },
    unsavedChanged(state, { payload }: PayloadAction<{ how: Unsaved; by: 1 | -1 }>) {
      state.unsaved[payload.how] += payload.by;
    },
    recordStranded(state, { payload }: PayloadAction<TicketRecord>) {
      return { ...state, stranded: [...state.stranded, payload] };
    },
    strandedSettled(state, { payload }: PayloadAction<TicketRecord>) {
      // By its last event: a draft of the state is never the record itself.
      const last = payload.events.at(-1)?.id;
      return { ...state, stranded: state.stranded.filter(({ events }) => events.at(-1)?.id !== last) };
    },
    undoAsked(state, { payload }: PayloadAction<OpenTicketState['undoAsked']>) {
      state.undoAsked = payload;
    },
    /** From here on what stands in the history was put there by another tab; null once that was agreed to. */
    handedOver(state, { payload }: PayloadAction<string | undefined>) {
      if (state.ticket.status === 'open') state.ticket.theirs = payload;
    },
    momentAsked(state, { payload }: PayloadAction<OpenTicketState['asked']>) {
      state.asked = payload;
    },
    fitHeld(state, { payload }: PayloadAction<OpenTicketState['heldFit']>) {
      return { ...state, heldFit: payload };
    },
    saidAloud(state, { payload }: PayloadAction<OpenTicketState['said']>) {
      state.said = payload;
    },
  },
});

export const ticketStatus = createAction<OpenTicket>('openTicket/ticketStatus');
export const recordChanged = createAction<TicketRecord>('openTicket/recordChanged');
export const {
  accessChanged,
  savingChanged,
  drafted,
  halfLineTyped,
  unsavedChanged,
  recordStranded,
  strandedSettled,
  undoAsked,
  handedOver,
  momentAsked,
  fitHeld,
  saidAloud,
} = slice.actions;

/** A whole ticket goes in as it is: a draft would walk through every event of its history. */
export function openTicketReducer(state: OpenTicketState | undefined, action: UnknownAction): OpenTicketState {
  if (ticketStatus.match(action))
    return { ...(state ?? initialState), ticket: action.payload, asked: null, heldFit: null };
  if (state?.ticket.status === 'open' && recordChanged.match(action))
    return { ...state, ticket: { ...state.ticket, record: action.payload } };
  return slice.reducer(state, action);
}
