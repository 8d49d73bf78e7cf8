import { say } from '@/messages/say';
import type { DeviceMemoryTexts } from '../ui/DeviceMemory';

/** What stands beside the entries that wait. */
export const deviceMemoryTexts = (): DeviceMemoryTexts => ({
  onThisDevice: say('waiting.onThisDevice'),
  saveToFile: say('waiting.saveToFile'),
  giveBack: say('waiting.giveBack'),
  saveToFileHow: say('waiting.saveToFileHow'),
  kept: say('waiting.kept'),
  notKept: say('waiting.notKept'),
  roomPlenty: say('waiting.roomPlenty'),
  noSuchFile: say('waiting.noSuchFile'),
});
