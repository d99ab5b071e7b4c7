-- What left the house is counted from the ledger by kind and time.

ALTER TABLE ledger_event
  ADD KEY event_of_type (household_id, type, at);
