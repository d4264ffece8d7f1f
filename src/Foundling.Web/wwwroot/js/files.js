/** Says at once when a chosen file is too large, before it is sent. */
export function fileSizes() {
  document.addEventListener('change', (event) => {
    const input = /** @type {HTMLInputElement} */ (event.target);
    const most = Number(input.dataset?.mostBytes);
    if (input.type !== 'file' || !most) return;
    const large = [...(input.files ?? [])].filter((f) => f.size > most).map((f) => `"${f.name}"`);
    const sentence = large.length ? `${large.join(', ')} is larger than ${Math.round(most / 1048576)} MB. Choose a smaller copy.` : '';
    input.setCustomValidity(sentence);
    const fault = input.closest('.field')?.querySelector('.fault');
    if (fault) fault.textContent = sentence;
    input.closest('.field')?.classList.toggle('bad', large.length > 0);
  });
}
