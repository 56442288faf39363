import type { StoredPhoto } from "../../server/api";
import { answer, client } from "../../server/client";
import { knowledgeQuery } from "../../server/queries";
import { queryClient } from "../../server/server";

const QUALITY = 0.85;

/** Sends a picture to a job: the picture itself is the body. */
export async function sendPhoto(jobId: string, file: File): Promise<StoredPhoto> {
  const picture = await shrunk(file);
  return answer(
    client.POST("/jobs/{id}/photos", {
      params: { path: { id: jobId }, query: { photo: crypto.randomUUID() } },
      headers: { "content-type": picture.type },
      body: "",
      bodySerializer: () => picture,
    }),
  );
}

/** No larger than it is kept, and upright. What this browser cannot read is sent as it is: the server says what it is. */
async function shrunk(file: File): Promise<Blob> {
  const whole = await createImageBitmap(file, { imageOrientation: "from-image" }).catch(() => undefined);
  const { photos } = await queryClient.ensureQueryData(knowledgeQuery);
  const by = whole && photos.longest_side_px / Math.max(whole.width, whole.height);
  if (!whole || !by || by >= 1) return file;
  const canvas = new OffscreenCanvas(Math.round(whole.width * by), Math.round(whole.height * by));
  canvas.getContext("2d")?.drawImage(whole, 0, 0, canvas.width, canvas.height);
  whole.close();
  return canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
}
