'use client';

import { useCallback, useEffect, useReducer } from 'react';
import type { ApplianceDrawing } from '@/core/model/drawing';
import { Refusal } from '@/core/model/refusal';

interface DrawState {
  present: ApplianceDrawing;
  past: ApplianceDrawing[];
  future: ApplianceDrawing[];
  selected: string | null;
  /** Why the last change was refused; empty: it was not. */
  fault: string;
}

type DrawAction =
  | { do: 'change'; change: (drawing: ApplianceDrawing) => ApplianceDrawing; select?: string | null }
  | { do: 'begin'; drawing: ApplianceDrawing }
  | { do: 'select'; id: string | null }
  | { do: 'refuse'; fault: string }
  | { do: 'undo' }
  | { do: 'redo' };

const MOST_STEPS = 200;

function still(state: DrawState, present: ApplianceDrawing): string | null {
  const { selected } = state;
  const there = [...present.zones, ...present.compartments].some(({ id }) => id === selected);
  return there ? selected : null;
}

function reduce(state: DrawState, action: DrawAction): DrawState {
  switch (action.do) {
    case 'begin':
      return { present: action.drawing, past: [], future: [], selected: null, fault: '' };
    case 'select':
      return { ...state, selected: action.id, fault: '' };
    case 'refuse':
      return { ...state, fault: action.fault };
    case 'change':
      try {
        const present = action.change(state.present);
        if (present === state.present) return state;
        return {
          present,
          past: [...state.past.slice(-MOST_STEPS), state.present],
          future: [],
          selected: action.select === undefined ? still(state, present) : action.select,
          fault: '',
        };
      } catch (error) {
        if (error instanceof Refusal) return { ...state, fault: error.says };
        throw error;
      }
    case 'undo': {
      const present = state.past.at(-1);
      if (!present) return state;
      const future = [state.present, ...state.future];
      return {
        ...state,
        present,
        past: state.past.slice(0, -1),
        future,
        selected: still(state, present),
        fault: '',
      };
    }
    case 'redo': {
      const [present, ...future] = state.future;
      if (!present) return state;
      return {
        ...state,
        present,
        past: [...state.past, state.present],
        future,
        selected: still(state, present),
        fault: '',
      };
    }
  }
}

/** A drawing being changed, with its steps back and forth. What the core refuses changes nothing and says why. */
export function useDrawing(begin: ApplianceDrawing) {
  const [state, dispatch] = useReducer(reduce, {
    present: begin,
    past: [],
    future: [],
    selected: null,
    fault: '',
  });
  const change = useCallback(
    (how: (drawing: ApplianceDrawing) => ApplianceDrawing, select?: string | null) =>
      dispatch({ do: 'change', change: how, ...(select === undefined ? {} : { select }) }),
    [],
  );
  const select = useCallback((id: string | null) => dispatch({ do: 'select', id }), []);
  const refuse = useCallback((fault: string) => dispatch({ do: 'refuse', fault }), []);
  const restart = useCallback((drawing: ApplianceDrawing) => dispatch({ do: 'begin', drawing }), []);
  const undo = useCallback(() => dispatch({ do: 'undo' }), []);
  const redo = useCallback(() => dispatch({ do: 'redo' }), []);
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLSelectElement;
      if (typing || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  return { ...state, change, select, refuse, restart, undo, redo };
}

export type Drawing = ReturnType<typeof useDrawing>;
