/** Longest side of a photo that is sent, px. */
const SIDE = 1600;

const QUALITY = 0.82;

/** A photo made small enough to wait on a phone; redrawn, so where it was taken stays behind. */
export async function smaller(file: File): Promise<ArrayBuffer> {
    const image = await createImageBitmap(file);
    const by = Math.min(1, SIDE / Math.max(image.width, image.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(image.width * by);
    canvas.height = Math.round(image.height * by);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    image.close();
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', QUALITY));
    if (blob === null) throw new Error('no-picture');
    return blob.arrayBuffer();
}
