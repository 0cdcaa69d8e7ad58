import highsLoader from 'highs';

type Highs = Awaited<ReturnType<typeof highsLoader>>;
let highs: Highs | undefined;

/**
 * The least equal sheets for some rectangles that lie as they are given, by rips along the sheet, cross cuts and a last trim:
 * the exact model of Lodi and Monaci, "Integer linear programming models for 2-staged two-dimensional knapsack problems" (2003),
 * for bins, from memory, solved by a MIP library (HiGHS). For small problems only.
 */
export const judgeStrips = async (
  sheet: { readonly length: number; readonly width: number },
  pieces: readonly { readonly length: number; readonly width: number }[],
  kerf: number,
): Promise<number> => {
  highs ??= await highsLoader();
  const n = pieces.length;
  const p = [...pieces].map((q) => ({ l: q.length + kerf, w: q.width + kerf })).sort((a, b) => b.w - a.w);
  const [L, W] = [sheet.length + kerf, sheet.width + kerf];
  const at = (k: number) => p[k] as { l: number; w: number };
  const range = (from: number): number[] => Array.from({ length: n - from }, (_, k) => from + k);
  const rows: string[] = [];
  for (const i of range(0)) {
    // A piece begins a strip, or lies in one that a piece no narrower began.
    rows.push(
      `y${i} ${range(0)
        .filter((j) => j < i)
        .map((j) => `+ x${j}_${i}`)
        .join(' ')} = 1`,
    );
    // A strip begins a sheet, or lies on one that another began.
    rows.push(
      `q${i} ${range(0)
        .filter((k) => k < i)
        .map((k) => `+ z${k}_${i}`)
        .join(' ')} - y${i} = 0`,
    );
    if (i === n - 1) continue;
    rows.push(
      `${range(i + 1)
        .map((k) => `+ ${at(k).l} x${i}_${k}`)
        .join(' ')} - ${L - at(i).l} y${i} <= 0`,
    );
    rows.push(
      `${range(i + 1)
        .map((k) => `+ ${at(k).w} z${i}_${k}`)
        .join(' ')} - ${W - at(i).w} q${i} <= 0`,
    );
  }
  const names = range(0).flatMap((i) => [
    `y${i}`,
    `q${i}`,
    ...range(i + 1).flatMap((k) => [`x${i}_${k}`, `z${i}_${k}`]),
  ]);
  const result = highs.solve(
    `Minimize\n obj: ${range(0)
      .map((i) => `+ q${i}`)
      .join(' ')}\nSubject To\n${rows.map((r, k) => ` r${k}: ${r}`).join('\n')}\nBinary\n ${names.join(' ')}\nEnd`,
  );
  if (result.Status !== 'Optimal') throw new Error(`The judge says ${result.Status}.`);
  return Math.round(result.ObjectiveValue);
};
