/** What an address answers line by line, each an object. @param {string} address @param {AbortSignal} signal @returns {AsyncGenerator<any>} */
export async function* lines(address, signal) {
  const answer = await fetch(address, { signal }), reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader();
  for (let rest = ''; reader;) {
    const { value, done } = await reader.read();
    const whole = (rest + (value ?? '')).split('\n');
    rest = whole.pop() ?? '';
    for (const line of whole) if (line) yield JSON.parse(line);
    if (done) return;
  }
}
