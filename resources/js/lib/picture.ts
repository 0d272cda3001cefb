/** Longest side that the server keeps, in points, and a file that is small enough as it is, in bytes. */
const longest = 2400;
const small = 1_500_000;

/**
 * A photograph as it is sent: turned upright and reduced on this device, so that it goes through a thin signal and says
 * nothing of where it was taken. What this device cannot read goes as it is; the server then says what is wrong with
 * it.
 */
export async function reduced(file: File): Promise<File> {
    try {
        const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
        const share = Math.min(1, longest / Math.max(picture.width, picture.height));
        if (share === 1 && file.size <= small) return file;
        const canvas = document.createElement('canvas');
        canvas.width = Math.max(1, Math.round(picture.width * share));
        canvas.height = Math.max(1, Math.round(picture.height * share));
        canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
        picture.close();
        const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.85));
        return blob && blob.size < file.size ? new File([blob], file.name, { type: 'image/jpeg' }) : file;
    } catch {
        return file;
    }
}
