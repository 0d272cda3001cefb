// Before anything is drawn: the theme that was chosen on this device, else the one that the device prefers.
(function () {
    var chosen = null;
    try { chosen = localStorage.getItem('theme'); } catch (e) { /* storage may be closed */ }
    var dark = chosen ? chosen === 'headlamp' : matchMedia('(prefers-color-scheme: dark)').matches;
    document.documentElement.dataset.theme = dark ? 'headlamp' : 'bone';
})();
