export default formulaRoutes.put()
