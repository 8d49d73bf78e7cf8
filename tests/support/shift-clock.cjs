// Preloaded into a server: what time it is for it, by milliseconds in a file, as if somebody had set the machine's clock.
const fs = require('node:fs');

const real = Date.now;
Date.now = () => {
  try {
    return real() + Number(fs.readFileSync(process.env.SHIFT_CLOCK_FILE, 'utf8'));
  } catch {
    return real();
  }
};
