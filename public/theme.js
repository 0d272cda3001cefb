// Before anything is drawn: the theme that this person or this device chose, else the one that the device prefers.
(function () {
    var root = document.documentElement;
    if (root.dataset.theme) return;
    var chosen = null;
    try { chosen = localStorage.getItem('theme'); } catch (e) { /* storage may be closed */ }
    var dark = chosen ? chosen === 'headlamp' : matchMedia('(prefers-color-scheme: dark)').matches;
    root.dataset.theme = dark ? 'headlamp' : 'bone';
})();
