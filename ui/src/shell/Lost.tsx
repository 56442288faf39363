import { Link } from "react-router";
import { Page, Panel, Quiet } from "../kit/layout";
import { useTitle } from "../kit/useTitle";

export function Lost() {
  useTitle("Not found");
  return (
    <Page>
      <Panel>
        <h1>There is nothing here</h1>
        <Quiet>Page not found, or an error occurred. Your entries are saved.</Quiet>
        <Link to="/">Back to the bench</Link>
      </Panel>
    </Page>
  );
}
