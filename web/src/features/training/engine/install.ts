/** Let the phone's pages be opened with no network. */

export function install() {
  if (!("serviceWorker" in navigator) || !import.meta.env.PROD) return;
  navigator.serviceWorker.register("/sw.js").catch(console.error); // without it, online only
}
