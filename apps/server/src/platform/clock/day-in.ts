/** Day in a time zone, `YYYY-MM-DD`. @param timeZone IANA: "Europe/Dublin" */
export function dayIn(timeZone: string, at: Date): string {
  return new Intl.DateTimeFormat('sv-SE', { timeZone }).format(at);
}
