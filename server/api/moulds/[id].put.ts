export default mouldRoutes.put()
