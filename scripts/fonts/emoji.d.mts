import type { FaceFile } from './families.mjs';

export function emojiSlices(): readonly FaceFile[];
export function cutEmoji(): Promise<void>;
