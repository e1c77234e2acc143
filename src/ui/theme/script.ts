/** Where preferences are kept in the browser. */
export const PREFERENCES_KEY = 'yawtrope-preferences';

/** Sets the kept theme before the first paint, so that night stays dark while the page loads. */
export const THEME_SCRIPT = `try{var p=JSON.parse(localStorage.getItem('${PREFERENCES_KEY}'));if(p&&p.state&&p.state.theme==='night')document.documentElement.dataset.theme='night'}catch(e){}`;
