import { useState } from 'react';
import type { Build, Fitting, OpeningKind, Side } from '@rubbet/core/unit';
import { asSpecified, newFitting, pinWall, putFitting, removeFitting, settleFitting } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';

/** What is done to the fittings of a build as they are seen on an elevation, and which of them is chosen. */
export const useFittings = (kept: Spec, build: Build | undefined, set: (spec: Spec) => void) => {
  const [selected, setSelected] = useState<string>();
  const [noRoom, setNoRoom] = useState<OpeningKind>();
  /** A spec with a fitting where it belongs; what stands beside it keeps its place. */
  const placed = (fitting: Fitting): Spec =>
    build
      ? putFitting(
          pinWall(kept, build, fitting.wall, fitting.id),
          asSpecified(build, settleFitting(kept, build, fitting)),
        )
      : putFitting(kept, fitting);
  const put = (fitting: Fitting): void => {
    setNoRoom(undefined);
    set(placed(fitting));
    setSelected(fitting.id);
  };
  const add = (side: Side, kind: OpeningKind): void => {
    const fitting = build && newFitting(kept, build, side, kind);
    setNoRoom(fitting ? undefined : kind);
    if (fitting) put(fitting);
  };
  const takeOut = (fitting: Fitting): void => {
    setSelected(undefined);
    setNoRoom(undefined);
    set(removeFitting(kept, fitting.id));
  };
  return { selected, setSelected, noRoom, placed, put, add, takeOut };
};
