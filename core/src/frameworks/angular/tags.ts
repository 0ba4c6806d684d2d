/** The tag that shows the next route of a page, and under which the routes of a table begin. */
export const routeOutlet = /^router-outlet$/;
