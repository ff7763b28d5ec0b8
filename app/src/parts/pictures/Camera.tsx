import { useEffect, useRef, useState } from 'react';
import { Button } from '../ui/Button';

/** Why the camera does not show, in words. */
function cameraProblem(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError')
    return 'The browser was told not to lend the camera. Allow it for this address, or choose a file.';
  if (name === 'NotFoundError') return 'No camera was found here. Choose a file, paste, or drop one.';
  return 'The camera does not answer; another program may have it. Choose a file instead.';
}

/** The camera in the page: what it sees, and a press that takes it. */
export function Camera({
  onPicture,
  onClose,
}: {
  readonly onPicture: (blob: Blob) => void;
  readonly onClose: () => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let stream: MediaStream | undefined;
    let current = true;
    void navigator.mediaDevices
      .getUserMedia({ video: { facingMode: 'environment', width: { ideal: 1920 } }, audio: false })
      .then((got) => {
        stream = got;
        if (!current) got.getTracks().forEach((track) => track.stop());
        else if (video.current) video.current.srcObject = got;
      })
      .catch((error: unknown) => setProblem(cameraProblem(error)));
    return () => {
      current = false;
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  const take = (): void => {
    const from = video.current;
    if (!from) return;
    const canvas = document.createElement('canvas');
    canvas.width = from.videoWidth;
    canvas.height = from.videoHeight;
    canvas.getContext('2d')?.drawImage(from, 0, 0);
    canvas.toBlob((blob) => blob && onPicture(blob), 'image/jpeg', 0.95);
  };
  return (
    <div className="grid gap-2">
      {problem ? (
        <p role="alert" className="border-l-4 border-live pl-3">
          {problem}
        </p>
      ) : (
        <video
          ref={video}
          autoPlay
          playsInline
          muted
          aria-label="What the camera sees"
          className="max-h-96 w-full border border-ink bg-ink object-contain"
          onLoadedMetadata={() => setReady(true)}
        />
      )}
      <div className="flex gap-2">
        {!problem && (
          <Button look="strong" className="min-h-14" disabled={!ready} onClick={take}>
            Take it
          </Button>
        )}
        <Button className="min-h-14" onClick={onClose}>
          Put the camera away
        </Button>
      </div>
    </div>
  );
}
