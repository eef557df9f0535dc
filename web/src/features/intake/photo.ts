/** A photo made small enough to send: a rig is judged at a glance, not by the pixel. */
const LONGEST = 1000;

/** As a JPEG in base64. */
export async function smaller(chosen: File): Promise<string> {
  const picture = await createImageBitmap(chosen);
  const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext("2d")?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return canvas.toDataURL("image/jpeg", 0.7).split(",")[1] ?? "";
}
