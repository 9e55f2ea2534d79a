/** Where menus are put: inside the page's main part, so that landmarks hold everything. */
export const mainContainer = () => document.querySelector<HTMLElement>("main");
