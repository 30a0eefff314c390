export default pathRoutes.put()
