// A list that is printed, or sent on as text: with the phone's own sharing where there is some, else as a page of plain text.
export function dress() {
  for (const button of document.querySelectorAll('[data-print]')) {
    button.addEventListener('click', () => window.print());
  }
  for (const link of /** @type {NodeListOf<HTMLElement>} */ (document.querySelectorAll('[data-share]'))) {
    link.addEventListener('click', async (event) => {
      if (!navigator.share) return;
      event.preventDefault();
      const answer = await fetch(link.dataset.share ?? '');
      if (answer.ok) await navigator.share({ title: document.title, text: await answer.text() }).catch(() => {});
    });
  }
}
