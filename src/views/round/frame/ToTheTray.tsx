/** What accepting does, and what not yet. */
export const ToTheTray = () => (
  <p className="note">They go to the tray; nothing is sent yet, and u takes them back.</p>
);
