/** The school whose order this device goes by. */
export const preferred = (): string =>
    (typeof localStorage === 'undefined' ? null : localStorage.getItem('school')) ?? 'jumper';
