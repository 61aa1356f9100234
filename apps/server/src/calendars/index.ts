/** Addresses under which calendars are subscribed to. */
export { calendarRoutes, openCalendarRoutes } from './routes.ts'
