/** Longest side of a photo that is kept, pixels, and its largest size, bytes: what tells a joint from a gap, and no more. */
const LONGEST = 1600;
const MOST = 360_000;

/** The size to which a picture is drawn, its longer side no longer than `longest`. */
export const fitInto = (width: number, height: number, longest: number): readonly [number, number] => {
  const scale = Math.min(1, longest / Math.max(width, height));
  return [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
};

/**
 * A photo from a camera as JPEG in base64, small enough to be kept.
 * @throws Error in words where the file is no picture
 */
export const shrinkPhoto = async (file: Blob): Promise<string> => {
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    throw new Error('This file is no picture that can be read: take a photo, or choose a JPEG, PNG or WebP file.');
  }
  try {
    for (let longest = LONGEST, quality = 0.8; longest >= 320; longest = Math.round(longest * 0.75), quality = 0.7) {
      const [width, height] = fitInto(picture.width, picture.height, longest);
      const canvas = document.createElement('canvas');
      canvas.width = width;
      canvas.height = height;
      canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height);
      const data = canvas.toDataURL('image/jpeg', quality).split(',')[1] ?? '';
      if (data.length * 0.75 <= MOST) return data;
    }
  } finally {
    picture.close();
  }
  throw new Error('This photo cannot be made small enough to be kept: take another.');
};
