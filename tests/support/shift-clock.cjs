// Preloaded into a server: what time it is for it, by a file. `12345`: milliseconds that it is off; `=12345`: a clock that stands still.
const fs = require('node:fs');

const real = Date.now;
Date.now = () => {
  try {
    const said = fs.readFileSync(process.env.SHIFT_CLOCK_FILE, 'utf8');
    return said.startsWith('=') ? Number(said.slice(1)) : real() + Number(said);
  } catch {
    return real();
  }
};
