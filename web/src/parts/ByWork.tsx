/** Said of a change that leaves the demand as it is and tells on the work of a rep instead. */
export function ByWork() {
  return (
    <span className="block font-text text-sm font-normal text-faint">by the work of a rep</span>
  );
}
