-- Where packages lay during a power cut is read from the ledger by time.

ALTER TABLE ledger_event
  ADD KEY event_by_time (household_id, at);
