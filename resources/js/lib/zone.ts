/** Tells the server the time zone of this device, so that its day is the person's. Says whether that was news. */
export function tellZone(): boolean {
    const zone = `zone=${encodeURIComponent(Intl.DateTimeFormat().resolvedOptions().timeZone)}`;
    if (document.cookie.split('; ').includes(zone)) return false;
    const secure = location.protocol === 'https:' ? '; Secure' : '';
    document.cookie = `${zone}; path=/; max-age=31536000; samesite=lax${secure}`;
    return document.cookie.split('; ').includes(zone);
}
