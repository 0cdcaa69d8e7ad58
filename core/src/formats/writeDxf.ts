import { Colors, DxfWriter, LWPolylineFlags, TextHorizontalAlignment, Units } from '@tarikjabiri/dxf';
import type { Drawing, Tone } from '../draw/index.ts';

/** Layers of a drawing: wood and sheets apart, dimensions, text, ground. */
const LAYER: Partial<Record<Tone, string>> = {
  wood: 'FRAMING',
  'wood-dark': 'FRAMING',
  treated: 'FRAMING-TREATED',
  ply: 'SHEETS',
  siding: 'SIDING',
  mesh: 'MESH',
  metal: 'ROOFING',
  glass: 'GLAZING',
  cloth: 'COVERS',
  concrete: 'MASONRY',
  fitting: 'FITTINGS',
};
const LAYERS = [...new Set(Object.values(LAYER)), 'DIMENSIONS', 'MARKS', 'GROUND', 'OUTLINE'] as const;

const colourOf = (layer: string): number =>
  layer === 'DIMENSIONS'
    ? Colors.Blue
    : layer === 'MARKS'
      ? Colors.Magenta
      : layer === 'GROUND'
        ? Colors.Green
        : Colors.White;

/** Writes a drawing as DXF in inches, y up, outlines as closed polylines on a layer for each material. */
export const writeDxf = (drawing: Drawing): string => {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Inches);
  for (const layer of LAYERS) dxf.addLayer(layer, colourOf(layer), 'Continuous');
  for (const item of drawing.items) {
    if (item.kind === 'area') {
      const layerName = item.fill === 'none' ? 'OUTLINE' : (LAYER[item.fill] ?? 'OUTLINE');
      for (const ring of item.rings)
        dxf.addLWPolyline(
          ring.map(([x, y]) => ({ point: { x, y } })),
          { flags: LWPolylineFlags.Closed, layerName },
        );
    } else if (item.kind === 'line') {
      dxf.addLine(
        { x: item.from[0], y: item.from[1], z: 0 },
        { x: item.to[0], y: item.to[1], z: 0 },
        { layerName: item.stroke === 'ground' ? 'GROUND' : item.stroke === 'chalk' ? 'DIMENSIONS' : 'OUTLINE' },
      );
    } else {
      const at = { x: item.at[0], y: item.at[1], z: 0 };
      dxf.addText(at, item.size, item.text, {
        layerName: item.tag ? 'MARKS' : 'DIMENSIONS',
        rotation: item.turn ?? 0,
        secondAlignmentPoint: at,
        horizontalAlignment: item.anchor === 'middle' ? TextHorizontalAlignment.Center : TextHorizontalAlignment.Left,
      });
    }
  }
  return dxf.stringify();
};
