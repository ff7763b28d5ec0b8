import './living';
import { expose, transfer } from 'comlink';
import { pictureKind, pictureName } from '@loose-pulley/core/files/exchange';
import { refuse, type Result } from '@loose-pulley/core/base/units';

/** The longer side of a kept picture. */
const MAX_PX = 1600;
const QUALITY = 0.85;

/** A picture as it is kept. */
export interface Shrunk {
  /** The SHA-256 of the bytes, in hex. */
  readonly id: string;
  readonly bytes: Uint8Array;
  readonly widthPx: number;
  readonly heightPx: number;
}

const api = {
  /** Scales a picture and draws it anew, which leaves behind where and when it was taken; turned as its camera held it. */
  async shrink(file: Blob, name: string): Promise<Result<Shrunk>> {
    const head = new Uint8Array(await file.slice(0, 64).arrayBuffer());
    const kind = pictureKind(head, file.size, name);
    if (!kind.ok) return kind;
    let image: ImageBitmap;
    try {
      image = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return refuse(`“${name}” is broken or cut short: it starts like a ${kind.value} picture and then is none.`);
    }
    const scale = Math.min(1, MAX_PX / Math.max(image.width, image.height));
    const widthPx = Math.max(1, Math.round(image.width * scale));
    const heightPx = Math.max(1, Math.round(image.height * scale));
    const canvas = new OffscreenCanvas(widthPx, heightPx);
    const context = canvas.getContext('2d');
    if (!context) return refuse(`“${name}” could not be drawn: this browser lends no canvas. Nothing was changed.`);
    context.fillStyle = '#ffffff';
    context.fillRect(0, 0, widthPx, heightPx);
    context.imageSmoothingQuality = 'high';
    context.drawImage(image, 0, 0, widthPx, heightPx);
    image.close();
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
    const bytes = new Uint8Array(await blob.arrayBuffer());
    const shrunk = { id: pictureName(bytes), bytes, widthPx, heightPx };
    return transfer({ ok: true as const, value: shrunk }, [bytes.buffer]);
  },
};

export type PicturesApi = typeof api;
expose(api);
